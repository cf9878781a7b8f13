<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\ExtensionView;
use OpenApi\Attributes as OA;

/** What a student may do otherwise than the class, in one piece of work. */
#[OA\Schema]
final readonly class StudentExtension
{
    public function __construct(
        #[OA\Property]
        public string $assignmentId,
        #[OA\Property]
        public string $assignment,
        #[OA\Property]
        public ExtensionView $extension,
    ) {
    }
}
