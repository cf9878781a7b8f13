<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A part of a course's grade.
 *
 * @property string $id
 * @property string $course_id
 * @property string $title
 * @property string $weight  among the parts
 * @property int|null $best  how many of the best pieces count; null for all of them
 * @property int $position
 */
final class GradePart extends Model
{
    use HasUuids;

    public $timestamps = false;
}
