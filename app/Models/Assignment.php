<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\AssignmentFactory;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One piece of set work.
 *
 * @property string $id
 * @property string $course_id
 * @property string $title
 * @property string $summary
 * @property \Illuminate\Support\Carbon|null $due_at
 * @property \Illuminate\Support\Carbon|null $closed_at  since when nothing is taken in any more
 * @property int|null $most_attempts  of one student; null for any number
 * @property bool $takes_late  whether students may hand in after the due time and the grace
 * @property StudentsSee $students_see  of the check before the due time
 * @property int|null $position  where it was put by hand; null for where its due time puts it
 * @property string|null $batch_id  of the checks that the whole class was last asked for
 * @property list<array{requirement: string, title: string, reason: string}> $left_out  requirements that nobody is
 *     marked on
 * @property Course $course
 * @property Brief|null $brief
 * @property-read int $handed_in  where it was counted, as are those below
 * @property-read int $to_read
 * @property-read int $replied
 * @property-read int $unmatched
 */
final class Assignment extends Model implements BelongsToCourse
{
    /** @use HasFactory<AssignmentFactory> */
    use HasFactory;

    use HasUuids;

    protected $attributes = ['left_out' => '[]'];

    protected function casts(): array
    {
        return [
            'due_at' => 'datetime',
            'closed_at' => 'datetime',
            'students_see' => StudentsSee::class,
            'takes_late' => 'boolean',
            'left_out' => 'array',
        ];
    }

    /** Whether a requirement was left out for the whole class. */
    public function leavesOut(string $requirement): bool
    {
        return in_array($requirement, array_column($this->left_out, 'requirement'), true);
    }

    public function courseId(): string
    {
        return $this->course_id;
    }

    /** @return BelongsTo<Course, $this> */
    public function course(): BelongsTo
    {
        return $this->belongsTo(Course::class);
    }

    /**
     * The brief in force: its newest version.
     *
     * @return HasOne<Brief, $this>
     */
    public function brief(): HasOne
    {
        return $this->hasOne(Brief::class)
            ->whereRaw(
                'version = (select max(other.version) from briefs other where other.assignment_id = '
                    .'briefs.assignment_id)',
            );
    }

    /** @return HasMany<Brief, $this> */
    public function briefs(): HasMany
    {
        return $this->hasMany(Brief::class);
    }

    /** @return HasMany<AssignmentFile, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(AssignmentFile::class)->orderBy('role')->orderBy('path');
    }

    /** @return HasMany<HandIn, $this> */
    public function handIns(): HasMany
    {
        return $this->hasMany(HandIn::class);
    }

    /** @return HasMany<Extension, $this> */
    public function extensions(): HasMany
    {
        return $this->hasMany(Extension::class);
    }

    /** @return HasMany<Arrival, $this> */
    public function arrivals(): HasMany
    {
        return $this->hasMany(Arrival::class);
    }
}
