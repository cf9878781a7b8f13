<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A file in the in-tray, from the moment it was dropped until it is a hand-in or was refused.
 *
 * @property string $id
 * @property string $assignment_id
 * @property string|null $student_id
 * @property string|null $hand_in_id
 * @property string $name
 * @property string $sha256
 * @property ArrivalState $state
 * @property string|null $reason
 * @property string|null $drop_id  of what was dropped together
 * @property string|null $parent_id  the archive of the class that it came in
 * @property string $within  the folders around it there
 * @property bool $packed  whether it was a folder, or loose files, and nobody chose its name
 * @property string|null $address  of a site that is to be fetched
 * @property string $covering_note
 * @property int $looks  how often it was looked for in vain
 * @property string|null $told  what the last look came to, while it is looked for again
 * @property list<string> $likely  ids of students who may be meant where nobody was matched
 * @property \Illuminate\Support\Carbon $arrived_at
 * @property Assignment $assignment
 * @property Student|null $student
 * @property HandIn|null $handIn
 */
final class Arrival extends Model implements BelongsToCourse
{
    use HasUuids;

    protected $attributes = ['likely' => '[]', 'within' => '', 'packed' => false, 'covering_note' => '', 'looks' => 0];

    public $timestamps = false;

    protected function casts(): array
    {
        return ['arrived_at' => 'datetime', 'likely' => 'array', 'packed' => 'boolean', 'state' => ArrivalState::class];
    }

    public function courseId(): string
    {
        return $this->assignment->courseId();
    }

    /** @return BelongsTo<Assignment, $this> */
    public function assignment(): BelongsTo
    {
        return $this->belongsTo(Assignment::class);
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return BelongsTo<HandIn, $this> */
    public function handIn(): BelongsTo
    {
        return $this->belongsTo(HandIn::class);
    }
}
