<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * Work that was done elsewhere, and whose marks were carried over.
 *
 * @property string $id
 * @property string $course_id
 * @property string $title
 * @property string $possible  points
 * @property string|null $grade_part_id
 * @property string $grade_weight
 */
final class OtherWork extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;

    protected $table = 'other_work';
}
