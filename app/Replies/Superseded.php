<?php

declare(strict_types=1);

namespace App\Replies;

use Carbon\CarbonImmutable;

/**
 * The reply that another one takes the place of.
 *
 * @phpstan-type KeptSuperseded array{at: string, changes: list<array{kind: 'added'|'taken out'|'points', place: string,
 *     text: string}>}
 */
final readonly class Superseded
{
    /** @param  list<ReplyChange>  $changes */
    public function __construct(
        /** when it was released */
        public string $at,
        public array $changes,
    ) {
    }

    /** @param  KeptSuperseded  $kept */
    public static function fromArray(array $kept): self
    {
        return new self($kept['at'], array_map(fn (array $change) => new ReplyChange(...$change), $kept['changes']));
    }

    /** The day on which it was released, such as "24 Nov 2026". */
    public function day(string $timeZone): string
    {
        return CarbonImmutable::parse($this->at)->setTimezone($timeZone)->format('j M Y');
    }
}
