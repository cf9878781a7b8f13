<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\MassPrunable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One pass of the rules over one hand-in, under one version of the brief and of the engine.
 *
 * @property string $id
 * @property string $hand_in_id
 * @property string $brief_id
 * @property string $engine
 * @property RunState $state
 * @property int $done
 * @property int $steps
 * @property int $faults  how many findings of each weight it made
 * @property int $departures
 * @property int $tidies
 * @property string|null $awarded
 * @property string|null $possible
 * @property string|null $was_awarded  what the hand-in had before this run; null where it is the first, or the same
 * @property string|null $was_possible
 * @property array<mixed>|null $scheme  how points come together under its brief, as it was written
 * @property string|null $trouble
 * @property Survey|null $survey  a run of a version that made none has it when it is first asked for
 * @property HandIn $handIn
 * @property Brief $brief
 * @property \Illuminate\Database\Eloquent\Collection<int, Finding> $findings
 * @property \Illuminate\Database\Eloquent\Collection<int, Finding> $costingFindings
 * @property \Illuminate\Database\Eloquent\Collection<int, Outcome> $outcomes
 */
final class CheckRun extends Model implements BelongsToCourse
{
    use HasUuids;
    use MassPrunable;

    /** Days for which a run is kept that another has taken the place of. */
    private const KEPT = 14;

    public const UPDATED_AT = null;

    protected $attributes = ['faults' => 0, 'departures' => 0, 'tidies' => 0];

    protected function casts(): array
    {
        return ['finished_at' => 'datetime', 'state' => RunState::class, 'scheme' => 'array'];
    }

    /**
     * Runs that another has taken the place of: they can be worked out again, and no word of an instructor is in them.
     *
     * @return Builder<CheckRun>
     */
    public function prunable(): Builder
    {
        return self::query()->where('created_at', '<', now()->subDays(self::KEPT))->whereExists(
            fn ($newer) => $newer->from('check_runs as newer')
                ->whereColumn('newer.hand_in_id', 'check_runs.hand_in_id')
                ->whereColumn('newer.created_at', '>', 'check_runs.created_at')
                ->where('newer.state', 'finished'),
        );
    }

    /** SQL that holds for the newest run of a hand-in, the one that counts; `$as` is what the table is called there. */
    public static function isNewest(string $as = 'check_runs'): string
    {
        return "$as.id = (select other.id from check_runs other where other.hand_in_id = $as.hand_in_id"
            .' order by other.created_at desc, other.id desc limit 1)';
    }

    public function foundCount(): int
    {
        return $this->faults + $this->departures + $this->tidies;
    }

    /** @return BelongsTo<Brief, $this> */
    public function brief(): BelongsTo
    {
        return $this->belongsTo(Brief::class);
    }

    /** @return HasMany<Finding, $this> */
    public function findings(): HasMany
    {
        return $this->hasMany(Finding::class)->orderBy('position');
    }

    /** @return HasMany<Outcome, $this> */
    public function outcomes(): HasMany
    {
        return $this->hasMany(Outcome::class)->orderBy('position');
    }

    /**
     * Those that no requirement covers, and that cost points by their weight.
     *
     * @return HasMany<Finding, $this>
     */
    public function costingFindings(): HasMany
    {
        return $this->findings()->where('free', true)->where('cost', '>', 0);
    }

    /** @return HasOne<Survey, $this> */
    public function survey(): HasOne
    {
        return $this->hasOne(Survey::class);
    }

    public function courseId(): string
    {
        return $this->handIn->courseId();
    }

    /** @return BelongsTo<HandIn, $this> */
    public function handIn(): BelongsTo
    {
        return $this->belongsTo(HandIn::class);
    }
}
