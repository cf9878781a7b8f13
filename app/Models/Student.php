<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * Someone on a course's roster; the handle is what archives are named by.
 *
 * @property string $id
 * @property string $course_id
 * @property string $name
 * @property string $handle
 */
final class Student extends Model implements BelongsToCourse
{
    use HasUuids;

    public function courseId(): string
    {
        return $this->course_id;
    }
}
