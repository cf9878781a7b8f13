<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\Rosters\RosterColumn;
use App\Http\Shared\StudentLine;
use OpenApi\Attributes as OA;

/** What a roster would change, before anything is kept. */
#[OA\Schema]
final readonly class RosterPreview
{
    /**
     * @param  list<RosterColumn>  $columns
     * @param  list<string>  $samples
     * @param  list<RosterLine>  $lines
     * @param  list<StudentLine>  $gone
     */
    public function __construct(
        #[OA\Property(description: 'as it was read: what is sent again to keep it')]
        public string $text,
        #[OA\Property(
            description: 'what each column holds',
            type: 'array',
            items: new OA\Items(enum: RosterColumn::class),
        )]
        public array $columns,
        #[OA\Property(
            description: 'the first cell of each column, or its heading',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $samples,
        #[OA\Property(description: 'whether the first line names the columns')]
        public bool $heading,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RosterLine::class))]
        public array $lines,
        #[OA\Property(
            description: 'who takes part now and is on no line',
            type: 'array',
            items: new OA\Items(ref: StudentLine::class),
        )]
        public array $gone,
    ) {
    }
}
