<?php

declare(strict_types=1);

namespace App\Replies;

use OpenApi\Attributes as OA;

/** A page as the instructor would have it, as what differs from the student's own. */
#[OA\Schema]
final readonly class ReplyMended
{
    /** @param  list<DiffPlace>  $places */
    public function __construct(
        #[OA\Property]
        public string $file,
        #[OA\Property(description: 'whether the other pages should follow it')]
        public bool $follow,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DiffPlace::class))]
        public array $places,
    ) {
    }

    /**
     * @param  array{file: string, follow: bool, places: list<array{line: int, lines: list<array{text: string,
     *     step: string, number: int}>}>}  $kept
     */
    public static function fromArray(array $kept): self
    {
        $places = array_map(fn (array $place) => new DiffPlace(
            $place['line'],
            array_map(fn (array $line) => new DiffLine(...$line), $place['lines']),
        ), $kept['places']);

        return new self($kept['file'], $kept['follow'], $places);
    }
}
