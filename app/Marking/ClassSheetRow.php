<?php

declare(strict_types=1);

namespace App\Marking;

use App\Courses\ExtensionView;

/** A student on the class sheet. */
final readonly class ClassSheetRow
{
    /** @param  list<SheetCell|null>  $cells */
    public function __construct(
        public string $studentId,
        public string $student,
        public string $group,
        /** null where nothing came in */
        public ?string $handInId,
        public bool $late,
        public ?string $putBy,
        public bool $replied,
        public ?float $awarded,
        public ?float $possible,
        /** points that are not judged yet */
        public float $open,
        public ?ExtensionView $extension,
        public array $cells,
    ) {
    }
}
