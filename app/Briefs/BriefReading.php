<?php

declare(strict_types=1);

namespace App\Briefs;

/** A brief that is being written, read and tried on a site. Nothing is kept. */
final readonly class BriefReading
{
    /**
     * @param  list<RequirementReading>  $requirements
     * @param  list<RequirementReading>  $proposed  of `proposed`, which are no part of the brief yet
     * @param  list<string>  $problems  why it cannot be put in use; none where it can
     * @param  list<string>  $names  files, elements, classes and ids of that site, to choose from
     */
    public function __construct(
        /** the brief as it was written */
        public object $document,
        public string $yaml,
        public array $requirements,
        public array $proposed,
        public array $problems,
        public float $points,
        /** of the site that it was tried on */
        public ?float $awarded,
        public ?float $possible,
        /** points of it that wait for a person, or for what a site does not have */
        public ?float $open,
        public array $names,
    ) {
    }
}
