<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Accounts\LogIn;
use App\Http\Shared\Controller;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class SessionController extends Controller
{
    public function show(Request $request): Me
    {
        $user = self::user($request);

        return Me::of($user);
    }

    public function store(LogInRequest $request): Me
    {
        NewSession::begin($request, LogIn::user(
            $request->string('email')->toString(),
            $request->string('password')->toString(),
            $request->string('code')->toString(),
        ));

        return $this->show($request);
    }

    public function destroy(Request $request): void
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }
}
