<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\LogIn;
use App\Accounts\SendPasswordLink;
use App\Http\Shared\Controller;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** One's own account, and a password that was forgotten. */
final class AccountController extends Controller
{
    public function update(AccountRequest $request): Me
    {
        $user = self::user($request);
        $user->name = $request->string('name')->toString();
        if ($request->has('time_zone')) {
            $user->time_zone = $request->filled('time_zone') ? $request->string('time_zone')->toString() : null;
        }
        if ($request->filled('password')) {
            self::setPassword($user, $request->string('password')->toString(), $request->session()->getId());
        }
        $user->save();

        return Me::of($user);
    }

    /** Says the same whether there is such an account or not. */
    public function forgotten(ForgottenRequest $request): void
    {
        SendPasswordLink::dispatch($request->string('email')->toString());
    }

    public function reset(ResetRequest $request): void
    {
        if (User::withEmail($request->string('email')->toString()) === null) {
            LogIn::matches(null, $request->string('token')->toString());
        }
        $status = Password::reset(
            $request->safe()->only(['email', 'token', 'password']),
            function (User $user, string $password): void {
                self::setPassword($user, $password, null);
                $user->save();
            },
        );
        if ($status !== Password::PasswordReset) {
            throw ValidationException::withMessages(['token' => 'This link was used or has run out. Ask for another.']);
        }
    }

    /** Whoever is logged in elsewhere with the old one is logged out. */
    private static function setPassword(User $user, string $password, ?string $session): void
    {
        $user->password = $password;
        $user->setRememberToken(Str::random(60));
        DB::table('sessions')->where('user_id', $user->id)
            ->when($session !== null, fn ($query) => $query->where('id', '!=', $session))->delete();
    }
}
