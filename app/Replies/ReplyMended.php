<?php

declare(strict_types=1);

namespace App\Replies;

/**
 * A page as the instructor would have it, as what differs from the student's own.
 *
 * @phpstan-type KeptMended array{file: string, follow: bool, places: list<array{line: int,
 *     lines: list<array{text: string, step: 'same'|'added'|'removed', number: int}>}>}
 */
final readonly class ReplyMended
{
    /** @param  list<DiffPlace>  $places */
    public function __construct(
        public string $file,
        /** whether the other pages should follow it */
        public bool $follow,
        public array $places,
    ) {
    }

    /** @param  KeptMended  $kept */
    public static function fromArray(array $kept): self
    {
        $places = array_map(fn (array $place) => new DiffPlace(
            $place['line'],
            array_map(fn (array $line) => new DiffLine(...$line), $place['lines']),
        ), $kept['places']);

        return new self($kept['file'], $kept['follow'], $places);
    }
}
