<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Http\Shared\Controller;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** An empty installation: whoever opens it first makes the first account, once. */
final class FirstRunController extends Controller
{
    #[OA\Get(
        path: '/api/first-run',
        operationId: 'firstRun',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: FirstRun::class),
        )],
    )]
    public function show(): JsonResponse
    {
        return response()->json(new FirstRun(User::query()->doesntExist()));
    }

    #[OA\Post(
        path: '/api/first-run',
        operationId: 'makeFirstAccount',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: FirstRunRequest::class)),
        responses: [
            new OA\Response(
                response: 201,
                description: 'Made, and logged in',
                content: new OA\JsonContent(ref: Me::class),
            ),
            new OA\Response(response: 409, description: 'There is an account already'),
        ],
    )]
    public function store(FirstRunRequest $request): JsonResponse
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

        return response()->json(Me::of($user), 201);
    }
}
