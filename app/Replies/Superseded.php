<?php

declare(strict_types=1);

namespace App\Replies;

use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;

/** The reply that another one takes the place of. */
#[OA\Schema]
final readonly class Superseded
{
    /** @param  list<ReplyChange>  $changes */
    public function __construct(
        #[OA\Property(description: 'when it was released')]
        public string $at,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReplyChange::class))]
        public array $changes,
    ) {
    }

    /** @param  array{at: string, changes: list<array{kind: string, place: string, text: string}>}  $kept */
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
