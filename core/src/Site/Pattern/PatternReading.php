<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

/** A site held against a pattern: which links it asks for, and where it is broken. */
final readonly class PatternReading
{
    /**
     * @param  list<string>  $order  the pages in the pattern's order, as far as it has one
     * @param  list<ExpectedLink>  $expected
     * @param  list<PatternBreak>  $breaks
     */
    public function __construct(public PatternKind $kind, public array $order, public array $expected, public array $breaks)
    {
    }

    /** How many of the expected links are there, under the right words. */
    public function met(): int
    {
        return count($this->expected) - count(array_filter($this->breaks, fn (PatternBreak $break) => $break->kind !== BreakKind::Surplus));
    }

    /** The share of the expected links that are there, 0 to 1. */
    public function share(): float
    {
        return $this->expected === [] ? 0.0 : $this->met() / count($this->expected);
    }

    /** How many links there are that the pattern has no place for. */
    public function surplus(): int
    {
        return count(array_filter($this->breaks, fn (PatternBreak $break) => $break->kind === BreakKind::Surplus));
    }
}
