<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A later due time for one student or a group, or lateness that does not count. Only markers see why.
 *
 * @property string $id
 * @property string $assignment_id
 * @property string|null $student_id  null where it is for a group
 * @property string|null $group
 * @property \Illuminate\Support\Carbon|null $due_at
 * @property bool $waived  whether being late costs nothing, however late
 * @property string $reason
 * @property string $user_id
 * @property Assignment $assignment
 * @property Student|null $student
 */
final class Extension extends Model implements BelongsToCourse
{
    use HasUuids;

    /**
     * Those of a course, a student's own after those of groups: of two for one student the later one counts.
     *
     * @return Builder<self>
     */
    public static function inCourse(Course $course): Builder
    {
        return self::query()->whereIn('assignment_id', $course->assignments()->reorder()->select('id'))
            ->orderByRaw('student_id is not null');
    }

    protected function casts(): array
    {
        return ['due_at' => 'datetime', 'waived' => 'boolean'];
    }

    public function courseId(): string
    {
        return $this->assignment->courseId();
    }

    /** @return BelongsTo<Assignment, $this> */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }
}
