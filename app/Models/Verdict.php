<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What the instructor decided about one finding, by its fingerprint: it outlives the runs that found it.
 *
 * @property string $id
 * @property string $hand_in_id
 * @property string $fingerprint
 * @property string $state
 * @property string|null $reason
 * @property HandIn $handIn
 */
final class Verdict extends Model implements BelongsToCourse
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
