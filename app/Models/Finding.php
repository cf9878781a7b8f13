<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;

/**
 * A finding of a check run: a row for the desk, whose key is its place in the run. What is decided about it is a
 * remark, which copies it.
 *
 * @property string $check_run_id
 * @property int $position
 * @property string $rule
 * @property string $variant
 * @property Weight $weight
 * @property ProofMark $mark
 * @property string $file
 * @property int $start_line
 * @property int $start_column
 * @property int $start_offset
 * @property int $end_line
 * @property int $end_column
 * @property int $end_offset
 * @property string $message
 * @property string $remedy
 * @property list<array{file: string, message: string, start: array{line: int}}> $related
 * @property list<array{file: string, text: string}>|null $mend  the changes that mend it, where they are exact
 * @property string|null $requirement
 * @property string $fingerprint
 * @property string $cost  points
 * @property CheckRun $run
 */
final class Finding extends Model implements BelongsToCourse
{
    protected $primaryKey;

    public $incrementing = false;

    protected function casts(): array
    {
        return ['weight' => Weight::class, 'mark' => ProofMark::class, 'related' => 'array', 'mend' => 'array'];
    }

    public $timestamps = false;

    /** Whether it points at nothing inside its file. */
    public function isAboutWholeFile(): bool
    {
        return $this->start_offset === 0 && $this->end_offset === 0;
    }

    /**
     * Where a remark about it is set.
     *
     * @return array{file: string, line: int|null, column: int|null, end_line: int|null, end_column: int|null}
     */
    public function place(): array
    {
        $points = ! $this->isAboutWholeFile();

        return [
            'file' => $this->file,
            'line' => $points ? $this->start_line : null,
            'column' => $points ? $this->start_column : null,
            'end_line' => $points ? $this->end_line : null,
            'end_column' => $points ? $this->end_column : null,
        ];
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
