<?php

declare(strict_types=1);

namespace App\Console;

use App\Accounts\SecondFactor;
use App\Models\User;
use Illuminate\Console\Command;

/** Helps somebody who has lost the phone and the recovery codes. */
final class ForgetSecondFactor extends Command
{
    protected $signature = 'people:forget-second-factor {email}';

    protected $description = 'Let somebody log in with the password alone again; make sure first that it is them';

    public function handle(): int
    {
        $user = User::withEmail($this->argument('email'));
        if ($user === null) {
            $this->error('Nobody has that address.');

            return self::FAILURE;
        }
        SecondFactor::end($user);
        $this->info("$user->email logs in with the password alone now.");

        return self::SUCCESS;
    }
}
