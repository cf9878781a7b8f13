<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was released to the student. It never changes; a later one supersedes it.
 *
 * @property string $id
 * @property string $hand_in_id
 * @property int $number
 * @property array<string, mixed> $content
 * @property \Illuminate\Support\Carbon $released_at
 * @property HandIn $handIn
 */
final class Reply extends Model implements BelongsToCourse
{
    use HasUuids;

    public $timestamps = false;

    protected function casts(): array
    {
        return ['content' => 'array', 'released_at' => 'datetime'];
    }

    public function courseId(): string
    {
        return $this->handIn->courseId();
    }

    /** @return BelongsTo<HandIn, $this> */
    public function handIn(): BelongsTo
    {
        return $this->belongsTo(HandIn::class);
    }
}
