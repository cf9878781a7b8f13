<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Courses\ExtensionView;

/** What a student may do otherwise than the class, in one piece of work. */
final readonly class StudentExtension
{
    public function __construct(
        public string $assignmentId,
        public string $assignment,
        public ExtensionView $extension,
    ) {
    }
}
