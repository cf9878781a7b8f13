<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use InkedMargin\Core\Brief\Brief as ReadBrief;
use InkedMargin\Core\Brief\BriefReader;

/**
 * One version of an assignment's brief, as its author wrote it. A version never changes.
 *
 * @property string $id
 * @property string $assignment_id
 * @property int $version
 * @property string $source
 * @property Assignment $assignment
 * @property \Illuminate\Database\Eloquent\Collection<int, BriefFile> $files
 */
final class Brief extends Model implements BelongsToCourse
{
    use HasUuids;

    public const UPDATED_AT = null;

    public function courseId(): string
    {
        return $this->assignment->courseId();
    }

    /** @return BelongsTo<Assignment, $this> */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /** @return HasMany<BriefFile, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(BriefFile::class)->orderBy('role')->orderBy('path');
    }

    public function read(): ReadBrief
    {
        return BriefReader::read($this->source);
    }
}
