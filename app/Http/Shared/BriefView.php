<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Models\Brief;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Requirement;

/** A brief: as its author wrote it, and as sentences. */
final readonly class BriefView
{
    /**
     * @param  list<RequirementLine>  $requirements
     * @param  list<string>  $marking  what findings and being late cost, as sentences
     * @param  list<string>  $problems  why it cannot be read; none as a rule
     */
    public function __construct(
        public int $version,
        public string $source,
        public float $points,
        public array $requirements,
        public array $marking = [],
        public array $problems = [],
    ) {
    }

    public static function of(Brief $brief): self
    {
        try {
            $read = $brief->read();
        } catch (BriefError $error) {
            return new self($brief->version, $brief->source, 0.0, [], problems: $error->problems);
        }

        return new self($brief->version, $brief->source, $read->points(), array_map(
            fn (Requirement $requirement) => new RequirementLine(
                $requirement->terms->id,
                $requirement::kind(),
                $requirement->terms->title,
                $requirement->sentence(),
                $requirement->terms->points,
            ),
            $read->requirements,
        ), $read->scheme->sentences());
    }
}
