<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Prunable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file that comes in parts. What it became is written elsewhere; an upload lives until its parts stop coming.
 *
 * @property string $id
 * @property string $assignment_id
 * @property string|null $student_id  whose it is; null for what is dropped into the in-tray
 * @property string $name
 * @property int $bytes  that it has when it is whole
 * @property int $received
 * @property \Illuminate\Support\Carbon $created_at  when the first byte was on its way
 * @property \Illuminate\Support\Carbon $last_part_at
 * @property Assignment $assignment
 */
final class Upload extends Model implements BelongsToCourse
{
    use HasUuids;
    use Prunable;

    public const UPDATED_AT = null;

    private const HOURS = 1;

    protected function casts(): array
    {
        return ['bytes' => 'integer', 'received' => 'integer', 'last_part_at' => 'datetime'];
    }

    public function courseId(): string
    {
        return $this->assignment()->firstOrFail()->course_id;
    }

    /** @return BelongsTo<Assignment, $this> */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /** Its bytes go with it, whatever it was deleted for. */
    protected static function booted(): void
    {
        self::deleted(fn (Upload $upload) => @unlink(self::path($upload->id)));
    }

    public function isWhole(): bool
    {
        return $this->received === $this->bytes;
    }

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return self::query()->where('last_part_at', '<', now()->subHours(self::HOURS));
    }

    /** Where its parts are put together. */
    public static function path(string $id): string
    {
        return storage_path("app/uploads/$id");
    }
}
