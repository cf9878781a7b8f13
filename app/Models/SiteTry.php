<?php

declare(strict_types=1);

namespace App\Models;

use App\Storage\SharedDisk;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Prunable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A site that a student tries before they hand it in. Each student has one, and it ends when they no longer ask for it.
 *
 * @property string $id
 * @property string $student_id
 * @property string $assignment_id
 * @property string $name  of the file
 * @property bool $packed  whether it is a folder, or loose files, packed on the way
 * @property string|null $address  where the site is published
 * @property TryState $state
 * @property string|null $trouble  in words for the student
 * @property \stdClass|null $result  what the check says
 * @property \Illuminate\Support\Carbon $seen_at  when the student's browser last asked for it
 * @property \Illuminate\Support\Carbon $created_at
 * @property Assignment $assignment
 * @property Student $student
 */
final class SiteTry extends Model
{
    use HasUuids;
    use Prunable;

    public const UPDATED_AT = null;

    private const FOLDER = 'tries';

    /** Seconds without a question, after which the student has gone. */
    public const GONE = 20;

    protected function casts(): array
    {
        return ['packed' => 'boolean', 'state' => TryState::class, 'result' => 'object', 'seen_at' => 'datetime'];
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

    protected static function booted(): void
    {
        self::deleted(fn (SiteTry $try) => SharedDisk::get()->delete($try->path()));
    }

    /** Whether the student still waits for it. */
    public static function isWanted(string $id): bool
    {
        return self::query()->whereKey($id)->where('seen_at', '>', now()->subSeconds(self::GONE))->exists();
    }

    /** Where its bytes are, on the shared disk. */
    public function path(): string
    {
        return self::FOLDER."/$this->id";
    }

    /** Rows that went with their student leave their bytes behind. */
    public static function pruneFiles(): void
    {
        SharedDisk::prune(self::FOLDER, 1);
    }

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return self::query()->where('seen_at', '<', now()->subHour());
    }
}
