<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Points given by hand for a requirement, with the reason.
 *
 * @property string $id
 * @property string $hand_in_id
 * @property string $requirement
 * @property string $points
 * @property string $reason
 * @property string|null $brief_id  the version of the brief that it was given under
 * @property HandIn $handIn
 */
final class Mark extends Model implements BelongsToCourse
{
    use HasUuids;

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
