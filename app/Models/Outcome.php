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
 * @property list<array{file: string, line: int|null, message: string, cost?: float|int, finding?: string|null,
 *     follows?: string|null}> $shortfalls  where the points went
 * @property array{points: float|int, credit: string, steps: array<int, float|int>|null, items: int,
 *     allowed: int}|null $award  how the points follow from the losses; null in runs of earlier engines
 * @property list<array{int, float|int, string|null, string|null}> $losses  as `KeptReason` has them
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
        return ['outcome' => OutcomeKind::class, 'shortfalls' => 'array', 'choices' => 'array',
            'award' => 'array', 'losses' => 'array'];
    }

    /** @return list<KeptReason> */
    public function reasons(): array
    {
        return array_map(
            fn (array $one) => new KeptReason($one[0], (float) $one[1], $one[2], $one[3]),
            $this->losses,
        );
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
