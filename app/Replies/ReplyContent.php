<?php

declare(strict_types=1);

namespace App\Replies;

use App\Http\Resources\SumLine;
use OpenApi\Attributes as OA;

/** Exactly what a student reads. */
#[OA\Schema]
final readonly class ReplyContent
{
    /**
     * @param  list<ReplyPage>  $pages
     * @param  list<ReplyPoint>  $points
     * @param  list<SumLine>  $others  what the sum has besides them
     * @param  list<ReplyMended>  $mended
     */
    public function __construct(
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public string $assignment,
        #[OA\Property]
        public int $attempt,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReplyPage::class))]
        public array $pages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReplyPoint::class))]
        public array $points,
        #[OA\Property]
        public float $awarded,
        #[OA\Property]
        public float $possible,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SumLine::class))]
        public array $others = [],
        #[OA\Property(description: 'the words that it begins with')]
        public ?ReplyItem $opening = null,
        #[OA\Property(description: 'the words that it ends with')]
        public ?ReplyItem $closing = null,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReplyMended::class))]
        public array $mended = [],
    ) {
    }

    /** @param  array<string, mixed>  $kept as it was released and stored */
    public static function fromArray(array $kept): self
    {
        /** @var array{student: string, course: string, assignment: string, attempt: int, pages: list<array{file: string, items: list<array{kind: string, mark: ?string, line: ?int, text: string, remedy: ?string, html: ?string, endLine?: ?int}>}>, points: list<array{title: string, outcome: string, awarded: float, possible: float, reason: ?string}>, awarded: float, possible: float, others?: list<array{title: string, points: float, how: string}>, opening?: array{kind: string, mark: ?string, line: ?int, text: string, remedy: ?string, html: ?string, endLine?: ?int}|null, closing?: array{kind: string, mark: ?string, line: ?int, text: string, remedy: ?string, html: ?string, endLine?: ?int}|null, mended?: list<array{file: string, follow: bool, places: list<array{line: int, lines: list<array{text: string, step: string, number: int}>}>}>} $kept */
        $words = fn (?array $item) => $item === null ? null : new ReplyItem(...$item);
        $pages = array_map(
            fn (array $page) => new ReplyPage(
                $page['file'],
                array_map(fn (array $item) => new ReplyItem(...$item), $page['items']),
            ),
            $kept['pages'],
        );

        return new self(...array_replace($kept, [
            'pages' => $pages,
            'points' => array_map(fn (array $point) => new ReplyPoint(...$point), $kept['points']),
            'others' => array_map(fn (array $line) => new SumLine(...$line), $kept['others'] ?? []),
            'opening' => $words($kept['opening'] ?? null),
            'closing' => $words($kept['closing'] ?? null),
            'mended' => array_map(ReplyMended::fromArray(...), $kept['mended'] ?? []),
        ]));
    }
}
