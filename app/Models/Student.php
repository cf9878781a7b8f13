<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\StudentFactory;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Someone on a course's roster; the handle is what archives are named by.
 *
 * @property string $id
 * @property string $course_id
 * @property string $name
 * @property string $handle
 * @property string $email  '' when it is not known
 * @property string $group  '' when there is none
 * @property string|null $link_seed  of which their private link is made; null where they have none
 * @property string|null $link_sha256
 * @property Course $course
 * @property \Illuminate\Support\Carbon|null $set_aside_at  when they left the course
 */
final class Student extends Model implements BelongsToCourse
{
    /** @use HasFactory<StudentFactory> */
    use HasFactory;

    use HasUuids;

    protected function casts(): array
    {
        return ['set_aside_at' => 'datetime'];
    }

    public function courseId(): string
    {
        return $this->course_id;
    }

    /** @return HasMany<HandIn, $this> */
    public function handIns(): HasMany
    {
        return $this->hasMany(HandIn::class);
    }

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }
}
