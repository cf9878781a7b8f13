<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A file of a hand-in as the instructor would have it. The student's own is never touched.
 *
 * @property string $id
 * @property string $hand_in_id
 * @property string $path
 * @property bool $in_reply
 * @property bool $follow  whether the other pages should follow it
 * @property MendedStep|null $step  the newest: how it is now
 * @property \Illuminate\Database\Eloquent\Collection<int, MendedStep> $steps
 * @property HandIn $handIn
 */
final class MendedCopy extends Model implements BelongsToCourse
{
    use HasUuids;

    public $timestamps = false;

    protected $attributes = ['in_reply' => false, 'follow' => false];

    protected function casts(): array
    {
        return ['in_reply' => 'boolean', 'follow' => 'boolean'];
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

    /** @return HasMany<MendedStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(MendedStep::class)->orderBy('number');
    }

    /** @return HasOne<MendedStep, $this> */
    public function step(): HasOne
    {
        return $this->hasOne(MendedStep::class)->whereRaw(
            'number = (select max(other.number) from mended_steps other where other.mended_copy_id = '
                .'mended_steps.mended_copy_id)',
        );
    }
}
