<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\SecondFactor;
use App\Accounts\Totp;
use App\Description\Status;
use App\Http\Shared\Controller;
use Illuminate\Validation\ValidationException;

/** One's own second factor: a code from an authenticator app at log-in. */
final class SecondFactorController extends Controller
{
    /** Makes a new secret. Until a code of it is typed, the old way to log in stays. */
    #[Status(201)]
    public function store(SecondFactorRequest $request): NewSecondFactor
    {
        $user = self::user($request);
        abort_if(SecondFactor::isOn($user), 409, 'You have a second factor. Turn it off first.');
        $secret = SecondFactor::begin($user);

        return new NewSecondFactor(
            $secret,
            Totp::address($secret, $user->email, config()->string('app.name')),
        );
    }

    public function update(CodeRequest $request): RecoveryCodesView
    {
        $codes = SecondFactor::confirm(self::user($request), $request->string('code')->toString());
        if ($codes === null) {
            throw ValidationException::withMessages([
                'code' => 'This is not the code that the app shows now. Check the clock of your phone.',
            ]);
        }

        return new RecoveryCodesView($codes);
    }

    public function destroy(SecondFactorRequest $request): void
    {
        SecondFactor::end(self::user($request));
    }
}
