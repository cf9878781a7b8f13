<?php

declare(strict_types=1);

namespace App\Http\Desk;

use OpenApi\Attributes as OA;

/** An attempt held against an earlier one. */
#[OA\Schema]
final readonly class ComparedAttempts
{
    /**
     * @param  list<AttemptFinding>  $mended
     * @param  list<AttemptFinding>  $still
     * @param  list<AttemptFinding>  $fresh
     * @param  list<AttemptFile>  $files
     * @param  list<AttemptPoints>  $points
     */
    public function __construct(
        #[OA\Property]
        public AttemptLine $before,
        #[OA\Property(
            description: 'findings of the earlier one that are gone',
            type: 'array',
            items: new OA\Items(ref: AttemptFinding::class),
        )]
        public array $mended,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AttemptFinding::class))]
        public array $still,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AttemptFinding::class))]
        public array $fresh,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AttemptFile::class))]
        public array $files,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AttemptPoints::class))]
        public array $points,
        #[OA\Property(description: 'of all points, as computed then; null where it was not checked')]
        public ?float $awardedBefore,
        #[OA\Property]
        public ?float $awardedNow,
    ) {
    }
}
