<?php

declare(strict_types=1);

namespace App\Replies;

use InkedMargin\Core\Marking\OutcomeKind;

/** The points for one requirement. */
final readonly class ReplyPoint
{
    /**
     * @param  value-of<OutcomeKind>  $outcome
     * @param  list<ReplyReason>  $reasons  where the points went
     */
    public function __construct(
        public string $title,
        public string $outcome,
        public float $awarded,
        public float $possible,
        public ?string $reason,
        /** how the points came about; null in replies from before that was told */
        public ?string $how = null,
        public array $reasons = [],
    ) {
    }

    /** @param  array<string, mixed>  $kept  as it was released and stored, by this version or an earlier one */
    public static function fromArray(array $kept): self
    {
        /**
         * @var array{title: string, outcome: value-of<OutcomeKind>|'unclear', awarded: float, possible: float,
         *     reason: ?string, how?: ?string,
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
        $outcome = $this->isOpen() ? $this->outcome : OutcomeKind::Met->value;

        return new self($this->title, $outcome, $this->awarded, $this->possible, $this->reason);
    }
}
