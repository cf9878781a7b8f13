<?php

declare(strict_types=1);

namespace App\Courses;

use App\Models\BelongsToCourse;
use App\Models\User;

/**
 * Who may reach what belongs to a course: its instructors and markers, and nobody else. Briefs are set by instructors
 * alone.
 */
final readonly class CoursePolicy
{
    public function view(User $user, BelongsToCourse $model): bool
    {
        return $user->roleIn($model->courseId()) !== null;
    }

    /** Write feedback, take hand-ins in, give points. */
    public function mark(User $user, BelongsToCourse $model): bool
    {
        return $this->view($user, $model);
    }

    /** Change what is asked. */
    public function manage(User $user, BelongsToCourse $model): bool
    {
        return $user->roleIn($model->courseId()) === 'instructor';
    }
}
