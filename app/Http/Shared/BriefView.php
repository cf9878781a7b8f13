<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Models\Brief;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Requirement;
use OpenApi\Attributes as OA;

/** A brief: as its author wrote it, and as sentences. */
#[OA\Schema]
final readonly class BriefView
{
    /**
     * @param  list<RequirementLine>  $requirements
     * @param  list<string>  $marking
     * @param  list<string>  $problems  why it cannot be read; none as a rule
     */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public string $source,
        #[OA\Property]
        public float $points,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RequirementLine::class))]
        public array $requirements,
        #[OA\Property(
            description: 'what findings and being late cost, as sentences',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $marking = [],
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
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
