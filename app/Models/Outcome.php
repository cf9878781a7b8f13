<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use InkedMargin\Core\Marking\OutcomeKind;

/**
 * What one requirement came to in a check run.
 *
 * @property string $id
 * @property string $check_run_id
 * @property int $position
 * @property string $requirement
 * @property string $title
 * @property OutcomeKind $outcome
 * @property string $measured
 * @property string $expected
 * @property list<array{file: string, line: int|null, message: string}> $shortfalls  where the points went
 * @property string $awarded
 * @property string $possible
 * @property string $how  how the points came about
 * @property list<array{words: string, points: float|int}> $choices  what a person may say of it
 * @property CheckRun $run
 */
final class Outcome extends Model implements BelongsToCourse
{
    use HasUuids;

    public $timestamps = false;

    protected function casts(): array
    {
        return ['outcome' => OutcomeKind::class, 'shortfalls' => 'array', 'choices' => 'array'];
    }

    public function courseId(): string
    {
        return $this->run->courseId();
    }

    /** @return BelongsTo<CheckRun, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(CheckRun::class, 'check_run_id');
    }
}
