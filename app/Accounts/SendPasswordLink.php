<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Mail\PasswordForgotten;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldBeEncrypted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;

/** Sends a link to set a new password, where the address has an account: how long that takes is seen by nobody. */
final class SendPasswordLink implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public function __construct(private readonly string $email)
    {
    }

    public function handle(): void
    {
        Password::sendResetLink(['email' => $this->email], function (User $user, string $token): void {
            $query = http_build_query(['token' => $token, 'email' => $user->email]);
            Mail::to($user->email)->send(new PasswordForgotten(config()->string('app.url')."/set-password?$query"));
        });
    }
}
