<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\CourseFactory;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A course of one term.
 *
 * @property string $id
 * @property string $title
 * @property string $school
 * @property string $term
 * @property string $time_zone  of the IANA database
 * @property string|null $link_word  that students enter besides their handle; null if there is none
 * @property string|null $link_seed  of which the link of the course is made; null where it is off
 * @property string|null $link_sha256
 * @property \Illuminate\Support\Carbon|null $put_away_at  at the end of its term
 * @property \Illuminate\Database\Eloquent\Collection<int, Student> $students
 * @property-read int $students_count  where it was counted
 * @property-read int $assignments_count  likewise
 */
final class Course extends Model implements BelongsToCourse
{
    /** @use HasFactory<CourseFactory> */
    use HasFactory;

    use HasUuids;

    protected function casts(): array
    {
        return ['put_away_at' => 'datetime'];
    }

    public function courseId(): string
    {
        return $this->id;
    }

    /** @return BelongsToMany<User, $this> */
    public function users(): BelongsToMany
    {
        return $this->belongsToMany(User::class)->withPivot('role');
    }

    /**
     * Those who take part now.
     *
     * @return HasMany<Student, $this>
     */
    public function students(): HasMany
    {
        return $this->roster()->whereNull('set_aside_at');
    }

    /**
     * All who are or were on it.
     *
     * @return HasMany<Student, $this>
     */
    public function roster(): HasMany
    {
        return $this->hasMany(Student::class)->orderBy('name')->orderBy('handle');
    }

    /**
     * As they were put in order by hand; the others after them, by due time.
     *
     * @return HasMany<Assignment, $this>
     */
    public function assignments(): HasMany
    {
        return $this->hasMany(Assignment::class)->orderByRaw('position asc nulls last')
            ->orderBy('due_at')->orderBy('title');
    }
}
