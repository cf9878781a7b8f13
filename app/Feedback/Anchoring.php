<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\CheckRun;
use App\Models\Finding;
use App\Models\HandIn;
use App\Models\Remark;
use App\Models\RemarkKind;
use App\Models\RunState;
use App\Storage\BlobStore;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;

/**
 * Gives remarks their place again after a check: by fingerprint; or else by what was written there, in the same file,
 * and then in one that has another name now. What finds no place keeps its words and its quotation, and says so.
 */
final class Anchoring
{
    /** @var array<string, string> bytes by path, as they are asked for */
    private array $read = [];

    /** @var array<string, array<string, string>> hashes by path, of each attempt that was asked about */
    private array $paths = [];

    /**
     * @var EloquentCollection<int, Finding>|null of the run, when first asked for: most checks have nothing to anchor
     */
    private ?EloquentCollection $findings = null;

    private function __construct(private readonly CheckRun $run, private readonly BlobStore $blobs)
    {
    }

    /** After a run has finished, inside the transaction that stored it. */
    public static function after(CheckRun $run, BlobStore $blobs): void
    {
        $anchoring = new self($run, $blobs);
        $isFirst = $run->handIn->runs()->where('state', RunState::Finished)->whereKeyNot($run->id)->doesntExist();
        if ($isFirst) {
            $anchoring->carry();
        }
        $anchoring->renew();
    }

    /** Decisions whose findings have another fingerprint now, as the rules say it otherwise. */
    private function renew(): void
    {
        $decisions = $this->run->handIn->remarks()->whereNotNull('fingerprint')->where('placed', true)->get();
        if ($decisions->isEmpty()) {
            return;
        }
        $findings = $this->findings();
        $known = $findings->pluck('fingerprint')->flip();
        $taken = array_fill_keys($decisions->map(fn (Remark $one) => (string) $one->fingerprint)->all(), true);
        foreach ($decisions as $remark) {
            if ($known->has((string) $remark->fingerprint)) {
                continue;
            }
            $isFree = fn (Finding $one) => $one->file === $remark->file && ! isset($taken[$one->fingerprint]);
            $match = $this->likest($remark, $findings->filter($isFree));
            if ($match !== null) {
                $taken[$match->fingerprint] = true;
                $remark->update(['fingerprint' => $match->fingerprint]);
            }
        }
    }

    /**
     * The finding that says of the same place what a remark says: of the same rule and about the same words; or else
     * of any rule at the very same place.
     *
     * @param  Collection<int, Finding>  $findings
     */
    private function likest(Remark $remark, Collection $findings): ?Finding
    {
        $isSameRule = fn (Finding $one) => $one->rule === $remark->rule
            && ($remark->excerpt === null ? $one->isAboutWholeFile() : $this->excerptOf($one) === $remark->excerpt);
        $isSamePlace = fn (Finding $one) => $remark->line !== null && $one->start_line === $remark->line
            && $one->start_column === $remark->column;
        $distance = fn (Finding $one) => abs($one->start_line - ($remark->line ?? 1));

        return $findings->filter($isSameRule)->sortBy($distance)->first()
            ?? $findings->filter($isSamePlace)->first();
    }

    /** On a new attempt: what was said of the one before it, where it still holds. */
    private function carry(): void
    {
        $handIn = $this->run->handIn;
        $before = HandIn::query()->where('assignment_id', $handIn->assignment_id)
            ->where('student_id', $handIn->student_id)->where('attempt', '<', $handIn->attempt)
            ->orderByDesc('attempt')->first();
        if ($before === null || $handIn->remarks()->exists()) {
            return;
        }
        $findings = $this->findings();
        $taken = [];
        // The words around a reply were about that attempt.
        foreach ($before->remarks()->where('placed', true)->whereNotIn('kind', RemarkKind::WORDS)->get() as $remark) {
            $remark->setRelation('handIn', $before);
            $copy = $remark->kind->isWritten()
                ? $this->movedNote($remark)
                : $this->movedDecision($remark, $findings->whereNotIn('fingerprint', $taken));
            if ($copy === null) {
                continue;
            }
            $taken[] = $copy->fingerprint;
            $copy->fill(['hand_in_id' => $handIn->id, 'from_attempt' => $remark->from_attempt ?? $before->attempt]);
            $copy->save();
        }
    }

    private function movedNote(Remark $remark): Remark
    {
        $copy = $remark->replicate(['batch_id']);
        if ($remark->excerpt === null) {
            // A note on a whole page holds as long as the page is there; one on the whole hand-in was about that one.
            return $copy->fill(['placed' => $remark->file !== null && isset($this->paths()[$remark->file])]);
        }
        [$file, $line] = $this->find($remark) ?? [$remark->file, null];

        return $copy->fill(
            $line === null ? ['placed' => false] : [
                'file' => $file,
                'line' => $line,
                'end_line' => $remark->end_line === null ? null : $line + $remark->end_line - (int) $remark->line,
            ],
        );
    }

    /**
     * Null for one that is of no more use: what was rubbed out and is not found again.
     *
     * @param  Collection<int, Finding>  $findings
     */
    private function movedDecision(Remark $remark, Collection $findings): ?Remark
    {
        $match = $findings->firstWhere('fingerprint', $remark->fingerprint)
            ?? $this->likest($remark, $findings->where('file', $remark->file))
            ?? $this->likest($remark, $findings->whereNotIn('file', array_keys($this->paths($remark->handIn))));
        $copy = $remark->replicate(['batch_id']);
        if ($match === null) {
            return $remark->kind === RemarkKind::RubbedOut ? null : $copy->fill(['placed' => false]);
        }

        return $copy->fill(['fingerprint' => $match->fingerprint, ...$match->place()]);
    }

    /** @return array{string, int}|null the file and line on which what a note quotes is now */
    private function find(Remark $remark): ?array
    {
        $paths = $this->paths();
        $same = isset($paths[$remark->file ?? '']) ? [(string) $remark->file] : [];
        // A file that the attempt before did not have may be this one under another name.
        $renamed = array_keys(array_diff_key($paths, $this->paths($remark->handIn)));
        foreach ($same === [] ? $renamed : $same as $path) {
            $line = Excerpt::lineIn($this->bytes((string) $path), (string) $remark->excerpt, $remark->line ?? 1);
            if ($line !== null) {
                return [(string) $path, $line];
            }
        }

        return null;
    }

    private function excerptOf(Finding $finding): ?string
    {
        return $finding->isAboutWholeFile() || ! isset($this->paths()[$finding->file])
            ? null
            : Excerpt::between($this->bytes($finding->file), $finding->start_offset, $finding->end_offset);
    }

    private function bytes(string $path): string
    {
        return $this->read[$path] ??= $this->blobs->get($this->paths()[$path]);
    }

    /** @return EloquentCollection<int, Finding> */
    private function findings(): EloquentCollection
    {
        return $this->findings ??= $this->run->findings()->get();
    }

    /** @return array<string, string> hashes by path */
    private function paths(?HandIn $of = null): array
    {
        $handIn = $of ?? $this->run->handIn;

        /** @var array<string, string> */
        return $this->paths[$handIn->id] ??= $handIn->loadMissing('files')->files->pluck('sha256', 'path')->all();
    }
}
