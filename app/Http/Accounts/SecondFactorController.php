<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\SecondFactor;
use App\Accounts\Totp;
use App\Http\Shared\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** One's own second factor: a code from an authenticator app at log-in. */
final class SecondFactorController extends Controller
{
    /** Makes a new secret. Until a code of it is typed, the old way to log in stays. */
    #[OA\Post(
        path: '/api/me/second-factor',
        operationId: 'beginSecondFactor',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: SecondFactorRequest::class)),
        responses: [new OA\Response(
            response: 201,
            description: 'Made',
            content: new OA\JsonContent(ref: NewSecondFactor::class),
        )],
    )]
    public function store(SecondFactorRequest $request): JsonResponse
    {
        $user = self::user($request);
        abort_if(SecondFactor::isOn($user), 409, 'You have a second factor. Turn it off first.');
        $secret = SecondFactor::begin($user);

        return response()->json(new NewSecondFactor(
            $secret,
            Totp::address($secret, $user->email, config()->string('app.name')),
        ), 201);
    }

    #[OA\Put(
        path: '/api/me/second-factor',
        operationId: 'confirmSecondFactor',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: CodeRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'It is on',
            content: new OA\JsonContent(ref: RecoveryCodesView::class),
        )],
    )]
    public function update(CodeRequest $request): JsonResponse
    {
        $codes = SecondFactor::confirm(self::user($request), $request->string('code')->toString());
        if ($codes === null) {
            throw ValidationException::withMessages([
                'code' => 'This is not the code that the app shows now. Check the clock of your phone.',
            ]);
        }

        return response()->json(new RecoveryCodesView($codes));
    }

    #[OA\Delete(
        path: '/api/me/second-factor',
        operationId: 'endSecondFactor',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: SecondFactorRequest::class)),
        responses: [new OA\Response(response: 204, description: 'It is off')],
    )]
    public function destroy(SecondFactorRequest $request): Response
    {
        SecondFactor::end(self::user($request));

        return response()->noContent();
    }
}
