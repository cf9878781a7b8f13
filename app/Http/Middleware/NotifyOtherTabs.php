<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Feedback\DeskStamp;
use App\Models\HandIn;
use App\Models\Remark;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Once somebody has written to a hand-in, the other desks on which it lies open are to know. */
final readonly class NotifyOtherTabs
{
    /** The desk that a request comes from, as it names itself: one tab of a browser. */
    public static function desk(Request $request): string
    {
        $named = (string) $request->header('X-Desk');

        return preg_match('/^[a-z0-9-]{8,40}$/', $named) === 1 ? $named : 'another';
    }

    public function handle(Request $request, Closure $next): Response
    {
        $note = $request->route('note');
        $handIn = $request->route('handIn');
        /** @var Response $response */
        $response = $next($request);
        $id = match (true) {
            $note instanceof Remark => $note->hand_in_id,
            $handIn instanceof HandIn => $handIn->id,
            default => null,
        };
        if ($id !== null && ! $request->isMethodSafe() && $response->isSuccessful()) {
            DeskStamp::mark([$id], self::desk($request));
        }

        return $response;
    }
}
