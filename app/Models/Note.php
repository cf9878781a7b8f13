<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What the instructor wrote: about a line, a file, or the whole hand-in. A merit praises.
 *
 * @property string $id
 * @property string $hand_in_id
 * @property bool $merit
 * @property string|null $file
 * @property int|null $line
 * @property string $body
 * @property HandIn $handIn
 */
final class Note extends Model implements BelongsToCourse
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
