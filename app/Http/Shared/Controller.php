<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Models\User;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Info(version: '1', title: 'Inked Margin')]
abstract class Controller
{
    /** Who asks: every address but that of logging in is for somebody who has logged in. */
    final protected static function user(Request $request): User
    {
        $user = $request->user();
        abort_unless($user instanceof User, 401);

        return $user;
    }
}
