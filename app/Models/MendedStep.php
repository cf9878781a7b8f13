<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A mended copy as it was kept once. Steps are only added: going back to one adds another.
 *
 * @property string $id
 * @property string $mended_copy_id
 * @property int $number  from 1
 * @property string $sha256
 * @property string $words  what was done
 * @property string $user_id
 * @property \Illuminate\Support\Carbon $created_at
 * @property User $user
 */
final class MendedStep extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
