<?php

declare(strict_types=1);

namespace App\Console;

use App\Accounts\PasswordRule;
use App\Accounts\PersonRules;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;

/** Makes an account from the shell, which the application itself offers only once. */
final class AddPerson extends Command
{
    protected $signature = 'people:add {email} {name} {--password= : asked for when it is left out}';

    protected $description = 'Make an account for somebody who sets work or marks it';

    public function handle(): int
    {
        $given = [
            'email' => $this->argument('email'),
            'name' => $this->argument('name'),
            'password' => $this->option('password') ?? $this->secret('A password'),
        ];
        $rules = [
            'name' => PersonRules::NAME,
            'email' => [...PersonRules::EMAIL, 'unique:users,email'],
            'password' => PasswordRule::required(),
        ];
        $validator = Validator::make(
            $given,
            $rules,
            [...PersonRules::MESSAGES, 'email.unique' => 'That address has an account already.'],
        );
        if ($validator->fails()) {
            foreach ($validator->errors()->all() as $problem) {
                $this->error($problem);
            }

            return self::FAILURE;
        }
        User::query()->create($given);
        $this->info("{$given['email']} can log in now.");

        return self::SUCCESS;
    }
}
