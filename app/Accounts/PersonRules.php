<?php

declare(strict_types=1);

namespace App\Accounts;

/** What a new account needs, on the screens and on the command line. */
final readonly class PersonRules
{
    public const NAME = ['required', 'string', 'max:200'];

    public const EMAIL = ['required', 'string', 'email:strict', 'max:200'];

    public const MESSAGES = [
        'name.required' => 'Type your name, as your students know you.',
        'email.required' => 'Type the e-mail address that you want to log in with.',
        'email.email' => 'Enter a valid e-mail address.',
        'password.required' => 'Choose a password.',
    ];
}
