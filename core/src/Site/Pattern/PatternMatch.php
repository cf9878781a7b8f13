<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

/** A site held against a pattern: which links it asks for, and where it is broken. */
final readonly class PatternMatch
{
    /**
     * @param  list<string>  $order  the pages in the pattern's order, as far as it has one
     * @param  list<ExpectedLink>  $expected  none for a menu, in which every page links to every other
     * @param  int  $count  how many links the pattern asks for
     * @param  list<PatternViolation>  $violations
     */
    public function __construct(
        public PatternKind $kind,
        public array $order,
        public array $expected,
        public int $count,
        public array $violations,
    ) {
    }

    /** How many of the expected links are there, under the right words. */
    public function met(): int
    {
        $missing = 0;
        foreach ($this->violations as $violation) {
            $missing += $violation->kind === ViolationKind::Surplus ? 0 : $violation->links;
        }

        return max(0, $this->count - $missing);
    }

    /** The share of the expected links that lead from a page, above 0 and at most 1. */
    public function shareOf(string $page): float
    {
        $from = array_filter($this->expected, fn (ExpectedLink $link) => $link->from === $page);

        return $from === [] ? 1 / max(1, count($this->order)) : min(1.0, count($from) / max(1, $this->count));
    }

    /** The share of the expected links that are there, 0 to 1. */
    public function share(): float
    {
        return $this->count === 0 ? 0.0 : $this->met() / $this->count;
    }

    /** How many links there are that the pattern has no place for. */
    public function surplus(): int
    {
        return count(
            array_filter($this->violations, fn (PatternViolation $one) => $one->kind === ViolationKind::Surplus),
        );
    }

    /**
     * The same, with no word about links that it has no place for: what was not asked for is not held against anybody.
     */
    public function withoutSurplus(): self
    {
        $kept = array_values(
            array_filter($this->violations, fn (PatternViolation $one) => $one->kind !== ViolationKind::Surplus),
        );

        return new self($this->kind, $this->order, $this->expected, $this->count, $kept);
    }
}
