<?php

declare(strict_types=1);

namespace App\Http\Accounts;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** A session that begins when somebody logs in: nothing of one before it stays, such as whose it was. */
final readonly class NewSession
{
    public static function begin(Request $request, User $user): void
    {
        $request->session()->flush();
        $request->session()->regenerateToken();
        Auth::login($user);
        $request->session()->regenerate(destroy: true);
        KnownBrowser::remember($request, $user);
    }
}
