<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * What was said by hand of a student and a piece of work.
 *
 * @property string $id
 * @property string $student_id
 * @property string|null $assignment_id
 * @property string|null $other_work_id
 * @property string|null $points  null where it does not count for the student
 * @property string $reason
 * @property string $user_id
 */
final class Grade extends Model
{
    use HasUuids;

    public function workId(): string
    {
        return (string) ($this->assignment_id ?? $this->other_work_id);
    }
}
