<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Log;

/** What people and the log are told while PostgreSQL does not answer. */
final readonly class DatabaseDown
{
    private const WORDS = 'The database does not answer. Nothing that was kept is lost. Try again in a moment; if it '
        .'stays so, start PostgreSQL, or the whole of it with bin/start.';

    /**
     * SQLSTATE classes of PostgreSQL for a connection that fails, and for a server that is shutting down (appendix A).
     */
    private const STATES = ['08', '57P'];

    public static function is(\Throwable $error): bool
    {
        $state = $error instanceof QueryException ? (string) ($error->errorInfo[0] ?? '') : '';

        return array_filter(self::STATES, fn (string $class) => str_starts_with($state, $class)) !== [];
    }

    /**
     * @return bool false, so that nothing else writes it down: one line a minute is enough, whatever the number of
     *     requests
     */
    public static function log(QueryException $error): bool
    {
        $mark = storage_path('framework/database-down');
        if (! is_file($mark) || time() - (int) filemtime($mark) >= 60) {
            touch($mark);
            Log::critical('The database does not answer: '.$error->getPrevious()?->getMessage());
        }

        return false;
    }

    public static function answer(bool $asJson): JsonResponse|Response
    {
        $page = '<!DOCTYPE html><html lang="en"><meta charset="utf-8"><title>Inked Margin</title>'
            .'<body style="font: 18px/1.5 serif; max-width: 34em; margin: 4em auto; padding: 0 1em; '
            .'color: #23201c; background: #f4eddf">'
            .'<h1>Inked Margin</h1><p>'.self::WORDS.'</p>';

        return $asJson
            ? new JsonResponse(['message' => self::WORDS], 503, ['Retry-After' => '10'])
            : new Response($page, 503, ['Content-Type' => 'text/html; charset=utf-8', 'Retry-After' => '10']);
    }
}
