<?php

declare(strict_types=1);

namespace App\Description;

use Attribute;
use ReflectionMethod;

/** The status of what a controller returns, where it is neither 200 nor, for nothing, 204. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Status
{
    public function __construct(public int $code)
    {
    }

    /** The status that a method's answer is sent with, and described with. */
    public static function of(ReflectionMethod $method, bool $hasAnswer): int
    {
        $own = $method->getAttributes(self::class)[0] ?? null;

        return $own?->newInstance()->code ?? ($hasAnswer ? 200 : 204);
    }
}
