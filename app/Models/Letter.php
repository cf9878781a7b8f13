<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Prunable;

/**
 * What would have been sent by mail, where no mail server is set.
 *
 * @property int $id
 * @property string $to  addresses, with commas between them
 * @property string $subject
 * @property string $body  plain text
 * @property \Illuminate\Support\Carbon $created_at
 */
final class Letter extends Model
{
    use Prunable;

    public const UPDATED_AT = null;

    private const DAYS = 30;

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return self::query()->where('created_at', '<', now()->subDays(self::DAYS));
    }
}
