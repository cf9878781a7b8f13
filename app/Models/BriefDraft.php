<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A brief that is being written for an assignment: in use only when somebody says so.
 *
 * @property string $assignment_id
 * @property string|null $user_id  who wrote it last
 * @property int $version  one more each time that it is kept
 * @property string $source
 * @property \Illuminate\Support\Carbon $updated_at
 * @property User|null $user
 */
final class BriefDraft extends Model
{
    public const CREATED_AT = null;

    public $incrementing = false;

    protected $primaryKey = 'assignment_id';

    protected $keyType = 'string';

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
