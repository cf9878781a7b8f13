<?php

declare(strict_types=1);

namespace App\Http\Operations;

use App\Http\Shared\Controller;
use App\Operations\HealthCheck;
use App\Operations\HealthChecks;
use App\Operations\Metrics;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** For whoever watches over an installation. No part of the API that the interface speaks. */
final class RunningController extends Controller
{
    /** Whether it works: for what sends requests to one of several machines. It tells strangers nothing else. */
    public function health(): JsonResponse
    {
        $missing = array_filter(HealthChecks::vital(), fn (HealthCheck $one) => ! $one->isMet);

        return response()->json(['works' => $missing === []], $missing === [] ? 200 : 503);
    }

    /** Numbers, for who is at this machine or knows the token. */
    public function metrics(Request $request): Response
    {
        $token = config('margin.metrics_token');
        $isKnown = is_string($token) && $token !== '' && hash_equals($token, (string) $request->bearerToken());
        // Behind a balancer that is not trusted all requests seem to come from this machine.
        $isPassedOn = $request->headers->has('X-Forwarded-For') || $request->headers->has('Forwarded');
        $isHere = in_array($request->ip(), ['127.0.0.1', '::1'], true)
            && (! $isPassedOn || config()->string('margin.trusted_proxies') !== '');
        abort_unless($isKnown || $isHere, 403);

        return response(Metrics::text(), 200, ['Content-Type' => Metrics::TYPE]);
    }
}
