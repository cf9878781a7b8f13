<?php

declare(strict_types=1);

namespace App\Replies;

use InkedMargin\Core\Marking\OutcomeKind;
use OpenApi\Attributes as OA;

/** The points for one requirement. */
#[OA\Schema]
final readonly class ReplyPoint
{
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(enum: OutcomeKind::class)]
        public string $outcome,
        #[OA\Property]
        public float $awarded,
        #[OA\Property]
        public float $possible,
        #[OA\Property]
        public ?string $reason,
        #[OA\Property(description: 'how the points came about; null in replies from before that was told')]
        public ?string $how = null,
        /** @var list<ReplyReason> */
        #[OA\Property(
            description: 'where the points went',
            type: 'array',
            items: new OA\Items(ref: ReplyReason::class),
        )]
        public array $reasons = [],
    ) {
    }

    /** @param  array<string, mixed>  $kept  as it was released and stored, by this version or an earlier one */
    public static function fromArray(array $kept): self
    {
        /**
         * @var array{title: string, outcome: string, awarded: float, possible: float, reason: ?string, how?: ?string,
         *     reasons?: list<array{text: string, cost: float, file: string, line: ?int, inked: bool}>} $kept
         */
        return new self(...array_replace($kept, [
            'outcome' => $kept['outcome'] === 'unclear' ? OutcomeKind::NotJudged->value : $kept['outcome'],
            'reasons' => array_map(fn (array $one) => new ReplyReason(...$one), $kept['reasons'] ?? []),
        ]));
    }

    /** In words: "2.5 of 4", or that nobody has judged it yet. */
    public function words(): string
    {
        return $this->isOpen() ? "not judged yet, $this->possible can be had" : "$this->awarded of $this->possible";
    }

    public function isOpen(): bool
    {
        return $this->outcome === OutcomeKind::NotJudged->value && $this->reason === null;
    }

    /** How the points came about, where there is more to say than that all of it is there. */
    public function note(): ?string
    {
        return $this->isOpen() || ($this->awarded >= $this->possible && $this->reason === null)
            ? null
            : $this->how ?? $this->reason;
    }

    /** Without what follows from the rest. */
    public function said(): self
    {
        // The outcome in a word follows from the points, but for what nobody has judged yet.
        $outcome = $this->isOpen() ? $this->outcome : '';

        return new self($this->title, $outcome, $this->awarded, $this->possible, $this->reason);
    }
}
