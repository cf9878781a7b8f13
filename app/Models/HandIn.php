<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * What one student gave for one assignment at one time. Its files are blobs, shared between attempts.
 *
 * @property string $id
 * @property string $assignment_id
 * @property string $student_id
 * @property int $attempt
 * @property string $archive_name  '' where it came as a folder or as loose files
 * @property string $archive_sha256
 * @property string $site_name
 * @property list<string>|null $folders  around the site in its archive; null where nobody took note of them
 * @property \Illuminate\Support\Carbon $arrived_at
 * @property string $covering_note
 * @property string|null $address  where the site is published, when that was said
 * @property list<array{path: string, status: int, type: string, to: string|null}>|null $served  what the server said of
 *     each file of a fetched site
 * @property array{trouble: string|null, missing: list<string>, more: list<string>,
 *     different: list<string>}|null $compared  with the site at its address
 * @property bool $cut  whether there was more of it than was fetched
 * @property bool $late  whether it came after the student's own due time and the grace
 * @property int $minutes_late  after the student's own due time; 0 where being late does not count
 * @property bool $chosen  by hand, as the attempt that counts
 * @property bool $counts  whether it is the attempt of its student that is marked
 * @property bool $waits  whether it counts and has no reply yet
 * @property string|null $put_by  why it has to wait; null where it has not
 * @property array<string, float> $touched  when it was written to last, by desk, in seconds since 1970
 * @property Assignment $assignment
 * @property Student $student
 * @property CheckRun|null $run
 * @property \Illuminate\Database\Eloquent\Collection<int, HandInFile> $files
 * @property \Illuminate\Database\Eloquent\Collection<int, Remark> $remarks
 * @property \Illuminate\Database\Eloquent\Collection<int, Mark> $marks
 * @property \Illuminate\Database\Eloquent\Collection<int, MendedCopy> $mendedCopies
 * @property Reply|null $reply
 * @property \Illuminate\Database\Eloquent\Collection<int, Reply> $replies
 * @property-read int $notes_count  where it was counted, as is the next
 * @property-read int $replies_count
 * @property-read int $remarks_count
 * @property-read int $marks_count
 */
final class HandIn extends Model implements BelongsToCourse
{
    use HasUuids;

    public $timestamps = false;

    protected $attributes = ['touched' => '{}'];

    protected function casts(): array
    {
        return [
            'arrived_at' => 'datetime',
            ...array_fill_keys(['folders', 'served', 'compared', 'touched'], 'array'),
            ...array_fill_keys(['cut', 'waits', 'late', 'chosen', 'counts'], 'boolean'),
        ];
    }

    public function courseId(): string
    {
        return $this->assignment->courseId();
    }

    /**
     * The attempt of each student that counts.
     *
     * @param  Builder<HandIn>  $query
     */
    public function scopeCounting(Builder $query): void
    {
        $query->where('counts', true);
    }

    /**
     * Those of them that have a released reply.
     *
     * @param  Builder<HandIn>  $query
     */
    public function scopeReplied(Builder $query): void
    {
        $this->scopeCounting($query);
        $query->whereHas('replies');
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

    /** @return HasMany<HandInFile, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(HandInFile::class)->orderBy('path');
    }

    /** @return HasMany<CheckRun, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(CheckRun::class);
    }

    /**
     * The run that counts: the newest.
     *
     * @return HasOne<CheckRun, $this>
     */
    public function run(): HasOne
    {
        return $this->hasOne(CheckRun::class)->whereRaw(CheckRun::isNewest());
    }

    /**
     * Makes the run that something is known from the one that is shown: the newest, or, where that broke off, the last
     * that came to its end.
     *
     * @return CheckRun|null the newest, whatever became of it
     */
    public function loadKnownRun(): ?CheckRun
    {
        $newest = $this->load('run')->run;
        if ($newest?->state === RunState::Failed) {
            $known = $this->runs()->where('state', RunState::Finished)->latest('created_at')->latest('id')->first();
            $this->setRelation('run', $known ?? $newest);
        }

        return $newest;
    }

    /** @return HasMany<Remark, $this> */
    public function remarks(): HasMany
    {
        return $this->hasMany(Remark::class)->orderBy('created_at')->orderBy('id');
    }

    /** @return HasMany<MendedCopy, $this> */
    public function mendedCopies(): HasMany
    {
        return $this->hasMany(MendedCopy::class)->orderBy('path');
    }

    /** @return HasMany<Mark, $this> */
    public function marks(): HasMany
    {
        return $this->hasMany(Mark::class);
    }

    /**
     * The reply that stands: the newest released.
     *
     * @return HasOne<Reply, $this>
     */
    public function reply(): HasOne
    {
        return $this->hasOne(Reply::class)
            ->whereRaw(
                'number = (select max(other.number) from replies other where other.hand_in_id = replies.hand_in_id)',
            );
    }

    /** @return HasMany<Reply, $this> */
    public function replies(): HasMany
    {
        return $this->hasMany(Reply::class);
    }
}
