<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What there is to see of a site as a whole, as a run saw it.
 *
 * @property string $check_run_id
 * @property array<string, mixed> $content what SiteSurvey::of() in the core gives
 */
final class Survey extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'check_run_id';

    protected $keyType = 'string';

    protected function casts(): array
    {
        return ['content' => 'array'];
    }
}
