<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\Finding;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Models\Remark;
use App\Models\RemarkKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Source\FileKind;

/**
 * What is to be said of a hand-in, leaf by leaf: what its newest run reports, with what was decided about it, and what
 * was inked and is no longer reported. The leaf of the whole hand-in has the name ''.
 */
final readonly class Margin
{
    /**
     * @param  Collection<string, Remark>  $decisions  by fingerprint
     * @param  array<string, string>  $reported  of the decisions that the run still reports: leaf by fingerprint
     */
    private function __construct(
        private HandIn $handIn,
        private Collection $decisions,
        private array $reported,
    ) {
    }

    /** @param  HandIn  $handIn  with its run and its remarks loaded */
    public static function of(HandIn $handIn): self
    {
        $decisions = $handIn->remarks->whereNotNull('fingerprint')->keyBy(
            fn (Remark $one) => (string) $one->fingerprint,
        );
        $reported = [];
        if ($handIn->run !== null && $decisions->isNotEmpty()) {
            $known = $handIn->run->findings()->whereIn('fingerprint', $decisions->keys());
            foreach ($known->get(['fingerprint', 'file']) as $finding) {
                $reported[$finding->fingerprint] = $finding->file;
            }
        }

        return new self($handIn, $decisions, $reported);
    }

    public function decisionOn(Finding $finding): ?Remark
    {
        return $this->decisions->get($finding->fingerprint);
    }

    /** @return Collection<int, Finding> what the run reports of one leaf */
    public function foundOn(string $leaf): Collection
    {
        return $this->found(fn (Builder $query) => $query->where('file', $leaf));
    }

    /** @return Collection<int, Finding> what the run reports of links and navigation, on any leaf */
    public function foundOnLinks(): Collection
    {
        return $this->found(
            fn (Builder $query) => $query->where(
                fn (Builder $rule) => $rule->where('rule', 'like', 'link/%')->orWhere('rule', 'like', 'nav/%'),
            ),
        );
    }

    /** @return Collection<int, Remark> what was inked on a leaf and the run does not report any more */
    public function keptOn(string $leaf): Collection
    {
        return $this->kept()->filter(fn (Remark $remark) => self::leafOf($remark) === $leaf)->values();
    }

    /**
     * How much of each leaf is decided; only leaves with something in their margin.
     *
     * @return array<string, array<string, int>> by leaf, then by what was decided
     */
    public function tallies(): array
    {
        $tallies = [];
        $add = function (string $leaf, string $state, int $count) use (&$tallies): void {
            $tallies[$leaf][$state] = ($tallies[$leaf][$state] ?? 0) + $count;
        };
        foreach ($this->countsByLeaf() as $leaf => $count) {
            $add((string) $leaf, 'pencilled', $count);
        }
        foreach ($this->decisions->intersectByKeys($this->reported) as $fingerprint => $remark) {
            $add($this->reported[$fingerprint] ?? '', 'pencilled', -1);
            $add($this->reported[$fingerprint] ?? '', $remark->kind->state(), 1);
        }
        foreach ($this->kept() as $remark) {
            $add(self::leafOf($remark), 'inked', 1);
        }

        return $tallies;
    }

    /**
     * What each rule found, the weightiest first.
     *
     * @return list<DeskKind>
     */
    public function kinds(): array
    {
        if ($this->handIn->run === null) {
            return [];
        }
        $decided = 'exists (select 1 from remarks where remarks.hand_in_id = ? and remarks.fingerprint = '
            .'findings.fingerprint)';
        $ranked = $this->handIn->run->findings()->getQuery()->reorder()->select('findings.*')->selectRaw(
            'count(*) over (partition by rule) as alike,'
            ." sum(case when $decided then 0 else 1 end) over (partition by rule) as pencilled,"
            ." row_number() over (partition by rule order by $decided, position) as nth",
            [$this->handIn->id, $this->handIn->id],
        );

        return array_values(Finding::query()->fromSub($ranked, 'findings')->where('nth', 1)->get()
            ->map(fn (Finding $first) => new DeskKind(
                $first->rule,
                $first->weight,
                self::number($first, 'alike'),
                self::number($first, 'pencilled'),
                $first->file,
                $first->place()['line'],
                $first->fingerprint,
                $first->message,
            ))
            ->sortBy(fn (DeskKind $kind) => [
                array_search($kind->weight, Weight::cases(), true),
                -$kind->findings,
                $kind->rule,
            ])->all());
    }

    private static function number(Finding $row, string $name): int
    {
        $value = $row->getAttribute($name);

        return is_numeric($value) ? (int) $value : 0;
    }

    /**
     * Pages first, home before the others, then the rest; files that should be there and are not stand among them.
     *
     * @return list<array{path: string, kind: FileKind, bytes: int, missing: bool}>
     */
    public function leaves(): array
    {
        $bytes = $this->handIn->files->mapWithKeys(fn (HandInFile $file) => [$file->path => $file->bytes]);
        $paths = array_map(strval(...), $bytes->keys()->all());
        $missing = array_diff(array_map(strval(...), array_keys($this->countsByLeaf())), ['', ...$paths]);

        return array_map(fn (string $path) => [
            'path' => $path,
            'kind' => FileKind::ofPath($path),
            'bytes' => $bytes->get($path, 0),
            'missing' => ! $bytes->has($path),
        ], [...$paths, ...$missing]);
    }

    /** @return Collection<string, Remark> */
    private function kept(): Collection
    {
        return $this->decisions->diffKeys($this->reported)
            ->filter(fn (Remark $remark) => $remark->kind === RemarkKind::Finding);
    }

    /** One that has no place in this attempt stands with what is said of the whole. */
    private static function leafOf(Remark $remark): string
    {
        return $remark->placed ? (string) $remark->file : '';
    }

    /** @return array<array-key, int> */
    private function countsByLeaf(): array
    {
        /** @var array<array-key, int> */
        return once(fn () => $this->handIn->run === null ? [] : $this->handIn->run->findings()->reorder()->toBase()
            ->selectRaw('file, count(*) as findings')->groupBy('file')->pluck('findings', 'file')->all());
    }

    /**
     * @param  \Closure(Builder<Finding>): mixed  $narrow
     * @return Collection<int, Finding>
     */
    private function found(\Closure $narrow): Collection
    {
        $findings = $this->handIn->run?->findings()->tap($narrow)->get();

        return $findings ?? new Collection;
    }
}
