<?php

declare(strict_types=1);

namespace App\Grades;

use OpenApi\Attributes as OA;

/** What marks from elsewhere would change. */
#[OA\Schema]
final readonly class ImportPreview
{
    /**
     * @param  list<ImportColumn>  $columns
     * @param  list<string>  $nobody
     */
    public function __construct(
        #[OA\Property(description: 'the file as CSV, to be sent when it is kept')]
        public string $text,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ImportColumn::class))]
        public array $columns,
        #[OA\Property(description: 'lines of nobody on the roster', type: 'array', items: new OA\Items(type: 'string'))]
        public array $nobody,
        #[OA\Property(description: 'students that are found in it')]
        public int $students,
    ) {
    }
}
