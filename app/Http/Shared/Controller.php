<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Description\Status;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use ReflectionMethod;
use Symfony\Component\HttpFoundation\Response;

/** A controller answers with what it returns, as JSON. */
abstract class Controller
{
    /** @param  array<mixed>  $parameters */
    public function callAction(string $method, array $parameters): Response
    {
        $answer = $this->{$method}(...array_values($parameters));
        if ($answer instanceof Response) {
            return $answer;
        }
        $code = Status::of(new ReflectionMethod($this, $method), $answer !== null);

        return $code === 204 ? response()->noContent() : new JsonResponse($answer, $code);
    }

    /** Who asks: every address but that of logging in is for somebody who has logged in. */
    final protected static function user(Request $request): User
    {
        $user = $request->user();
        abort_unless($user instanceof User, 401);

        return $user;
    }
}
