<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\StudentFactory;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Someone on a course's roster; the handle is what archives are named by.
 *
 * @property string $id
 * @property string $course_id
 * @property string $name
 * @property string $handle
 */
final class Student extends Model implements BelongsToCourse
{
    /** @use HasFactory<StudentFactory> */
    use HasFactory;

    use HasUuids;

    public function courseId(): string
    {
        return $this->course_id;
    }

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }
}
