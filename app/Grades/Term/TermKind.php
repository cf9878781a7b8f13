<?php

declare(strict_types=1);

namespace App\Grades\Term;

/** A slip over the assignments. */
final readonly class TermKind
{
    /**
     * @param  list<float|null>  $shares  percent of the hand-ins that have it, for each assignment; null where
     *     nothing was checked
     * @param  list<int>  $own  how often the student who was asked for has it in each; none where nobody was asked for
     */
    public function __construct(
        public string $rule,
        public array $shares,
        public array $own,
    ) {
    }
}
