<?php

declare(strict_types=1);

namespace App\Replies;

/**
 * Exactly what a student reads.
 *
 * @phpstan-import-type KeptItem from ReplyItem
 * @phpstan-import-type KeptMended from ReplyMended
 * @phpstan-import-type KeptSuperseded from Superseded
 */
final readonly class ReplyContent
{
    /**
     * @param  list<ReplyPage>  $pages
     * @param  list<ReplyPoint>  $points
     * @param  list<SumLine>  $others  what the sum has besides them
     * @param  list<ReplyMended>  $mended
     */
    public function __construct(
        public string $student,
        public string $course,
        public string $assignment,
        public int $attempt,
        public array $pages,
        public array $points,
        public float $awarded,
        public float $possible,
        public array $others = [],
        /** the words that it begins with */
        public ?ReplyItem $opening = null,
        /** the words that it ends with */
        public ?ReplyItem $closing = null,
        public array $mended = [],
        /** null in the first reply */
        public ?Superseded $supersedes = null,
        /** how much of the total was judged; null in replies from before that was told */
        public ?float $judged = null,
    ) {
    }

    /** What a reply says, without what follows from it: two that say the same are one. */
    public function said(): self
    {
        return $this->with(
            array_map(fn (ReplyPage $page) => $page->said(), $this->pages),
            array_map(fn (ReplyPoint $point) => $point->said(), $this->points),
            array_map(fn (SumLine $line) => $line->said(), $this->others),
        );
    }

    /** The same reply as one that takes the place of another. */
    public function after(self $before, string $releasedAt): self
    {
        $superseded = new Superseded($releasedAt, ReplyChanges::between($before, $this));

        return $this->with($this->pages, $this->points, $this->others, $this->judged, $superseded);
    }

    /** Points that nobody has judged yet: the total is provisional as long as there are any. */
    public function open(): float
    {
        return $this->judged === null ? 0.0 : round($this->possible - $this->judged, 2);
    }

    /** @return list<array{string, ReplyItem}> what is praised, each with the file that it is in */
    public function merits(): array
    {
        $merits = [];
        foreach ($this->pages as $page) {
            foreach ($page->items as $item) {
                if ($item->kind === 'merit') {
                    $merits[] = [$page->file, $item];
                }
            }
        }

        return $merits;
    }

    /** @return list<ReplyPage> the pages without what is praised, as far as there is something else */
    public function remarks(): array
    {
        $pages = array_map(fn (ReplyPage $page) => new ReplyPage($page->file, array_values(
            array_filter($page->items, fn (ReplyItem $item) => $item->kind !== 'merit'),
        )), $this->pages);

        return array_values(array_filter($pages, fn (ReplyPage $page) => $page->items !== []));
    }

    /** @param  array<string, mixed>  $kept  as it was released and stored */
    public static function fromArray(array $kept): self
    {
        /**
         * @var array{student: string, course: string, assignment: string, attempt: int,
         *     pages: list<array{file: string, items: list<KeptItem>}>, points: list<array<string, mixed>>,
         *     awarded: float, possible: float, others?: list<array{title: string, points: float, how: string,
         *     reasons?: list<array{text: string, cost: float, file: string, line: ?int, inked: bool}>}>,
         *     opening?: KeptItem|null, closing?: KeptItem|null, mended?: list<KeptMended>,
         *     supersedes?: KeptSuperseded|null} $kept
         */
        $pages = array_map(
            fn (array $page) => new ReplyPage($page['file'], array_map(ReplyItem::fromArray(...), $page['items'])),
            $kept['pages'],
        );
        $supersedes = $kept['supersedes'] ?? null;

        return new self(...array_replace($kept, [
            'pages' => $pages,
            'points' => array_map(ReplyPoint::fromArray(...), $kept['points']),
            'others' => array_map(fn (array $line) => new SumLine(...array_replace($line, [
                'reasons' => array_map(fn (array $one) => new ReplyReason(...$one), $line['reasons'] ?? []),
            ])), $kept['others'] ?? []),
            'opening' => isset($kept['opening']) ? ReplyItem::fromArray($kept['opening']) : null,
            'closing' => isset($kept['closing']) ? ReplyItem::fromArray($kept['closing']) : null,
            'mended' => array_map(ReplyMended::fromArray(...), $kept['mended'] ?? []),
            'supersedes' => $supersedes === null ? null : Superseded::fromArray($supersedes),
        ]));
    }

    /**
     * @param  list<ReplyPage>  $pages
     * @param  list<ReplyPoint>  $points
     * @param  list<SumLine>  $others
     */
    private function with(
        array $pages,
        array $points,
        array $others,
        ?float $judged = null,
        ?Superseded $supersedes = null,
    ): self {
        return new self(
            $this->student,
            $this->course,
            $this->assignment,
            $this->attempt,
            $pages,
            $points,
            $this->awarded,
            $this->possible,
            $others,
            $this->opening,
            $this->closing,
            $this->mended,
            $supersedes,
            $judged,
        );
    }
}
