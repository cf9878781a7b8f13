<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\LogIn;
use App\Http\Shared\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use OpenApi\Attributes as OA;

final class SessionController extends Controller
{
    #[OA\Get(
        path: '/api/me',
        operationId: 'me',
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(ref: Me::class))],
    )]
    public function show(Request $request): JsonResponse
    {
        $user = self::user($request);

        return response()->json(Me::of($user));
    }

    #[OA\Post(
        path: '/api/log-in',
        operationId: 'logIn',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: LogInRequest::class)),
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(ref: Me::class))],
    )]
    public function store(LogInRequest $request): JsonResponse
    {
        NewSession::begin($request, LogIn::user(
            $request->string('email')->toString(),
            $request->string('password')->toString(),
            $request->string('code')->toString(),
        ));

        return $this->show($request);
    }

    #[OA\Post(
        path: '/api/log-out',
        operationId: 'logOut',
        responses: [new OA\Response(response: 204, description: 'Logged out')],
    )]
    public function destroy(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return response()->noContent();
    }
}
