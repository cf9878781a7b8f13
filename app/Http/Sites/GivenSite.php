<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Checks\PencilledFinding;

/** A site that nobody handed in: what an assignment gives, or an example. */
final readonly class GivenSite
{
    /**
     * @param  list<Leaf>  $leaves
     * @param  list<PencilledFinding>  $findings  what a check without a brief says of it
     */
    public function __construct(
        /** such as "the model answer" */
        public string $name,
        public string $assignment,
        public string $courseId,
        public string $course,
        public array $leaves,
        public array $findings,
    ) {
    }
}
