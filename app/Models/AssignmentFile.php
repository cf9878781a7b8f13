<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A file that an assignment gives now.
 *
 * @property string $assignment_id
 * @property MaterialRole $role
 * @property string $path
 * @property string $sha256
 */
final class AssignmentFile extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected function casts(): array
    {
        return ['role' => MaterialRole::class];
    }
}
