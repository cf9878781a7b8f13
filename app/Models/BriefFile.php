<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A file that an assignment gives besides its brief, under one version of it.
 *
 * @property string $brief_id
 * @property MaterialRole $role
 * @property string $path
 * @property string $sha256
 */
final class BriefFile extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected function casts(): array
    {
        return ['role' => MaterialRole::class];
    }
}
