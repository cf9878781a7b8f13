<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Description\Status;
use App\Http\Shared\Controller;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** An empty installation: whoever opens it first makes the first account, once. */
final class FirstRunController extends Controller
{
    public function show(): FirstRun
    {
        return new FirstRun(User::query()->doesntExist());
    }

    #[Status(201)]
    public function store(FirstRunRequest $request): Me
    {
        $user = DB::transaction(function () use ($request): ?User {
            // Two who open it at once do not both come first.
            DB::statement('lock table users in share row exclusive mode');

            return User::query()->exists() ? null : User::query()->create([
                'name' => $request->string('name')->toString(),
                'email' => $request->string('email')->toString(),
                'password' => $request->string('password')->toString(),
            ]);
        });
        if ($user === null) {
            abort(409, 'There is an account already. Log in with it, or ask whoever runs this to add you.');
        }
        NewSession::begin($request, $user);

        return Me::of($user);
    }
}
