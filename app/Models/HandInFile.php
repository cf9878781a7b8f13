<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file of a hand-in: its path, and the blob that holds its bytes.
 *
 * @property string $hand_in_id
 * @property string $path
 * @property string $sha256
 * @property int $bytes
 * @property HandIn $handIn
 */
final class HandInFile extends Model implements BelongsToCourse
{
    protected $primaryKey = 'path';

    public $incrementing = false;

    protected $keyType = 'string';

    public $timestamps = false;

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
