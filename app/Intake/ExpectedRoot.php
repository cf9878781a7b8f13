<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Assignment;
use App\Models\Student;
use App\Sites\ClassShape;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Intake\RootHints;

/** What an assignment tells of the sites that come in for it: where their root is when the home page is missing. */
final readonly class ExpectedRoot
{
    /** @param  Student|null  $student  whose it is; null where that is not known yet */
    public static function of(Assignment $assignment, ?Student $student = null): RootHints
    {
        try {
            $paths = $assignment->brief()->first()?->read()->paths() ?? [];
        } catch (BriefError) {
            $paths = [];
        }

        return new RootHints($paths, ClassShape::of($assignment->id)->usualDepthBeside($student->id ?? ''));
    }
}
