<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\Finding;
use App\Models\HandIn;
use App\Sites\MaterialStore;
use App\Sites\SiteStore;
use Illuminate\Support\Collection;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Utf8;

/** What a check says of a hand-in with one of its files mended, held against what it says of it as it came. */
final readonly class MendedReport
{
    public function __construct(private SiteStore $sites, private MaterialStore $materials)
    {
    }

    /** @param  HandIn  $handIn  with its run, that run's brief, its files and its student */
    public function of(HandIn $handIn, string $path, string $text): MendedCheck
    {
        $given = $this->sites->read($handIn);
        $original = $given->file($path) ?? abort(404, 'There is no such file in this hand-in.');
        abort_if(MendedText::refusal($original) !== null, 422, 'This file cannot be mended.');
        $run = $handIn->run ?? abort(409, 'The hand-in has not been checked yet. What you typed is still here.');
        $site = MendedText::in($given, $path, $text);
        $report = Check::run($site, $run->brief->read(), materials: $this->materials->read($run->brief));
        $file = $site->files()[$path];
        $found = Collection::make($report->findings)->map(self::ofReport(...));
        $before = $run->findings()->get()->toBase()->map(self::ofRun(...));
        [$gone, $fresh] = [self::without($before, $found), self::without($found, $before)];
        $isHere = fn (array $one) => $one['file'] === $path;
        $new = array_fill_keys(self::printsOn($fresh, $path), true);
        $here = array_values(array_filter($report->findings, fn (PlacedFinding $one) => $one->finding->file === $path));

        return new MendedCheck(
            self::findings($here, $new, $file),
            self::printsOn($gone, $path),
            $gone->reject($isHere)->count(),
            $fresh->reject($isHere)->count(),
            $report->score->awarded,
            $report->score->possible,
        );
    }

    /**
     * @param  Collection<int, array{file: string, fingerprint: string, kind: string}>  $some
     * @return list<string>
     */
    private static function printsOn(Collection $some, string $path): array
    {
        return array_values($some->where('file', $path)->map(fn (array $one) => $one['fingerprint'])->all());
    }

    /** @return array{file: string, fingerprint: string, kind: string} */
    private static function ofReport(PlacedFinding $placed): array
    {
        $finding = $placed->finding;

        return [
            'file' => $finding->file,
            'fingerprint' => $placed->fingerprint,
            'kind' => "$finding->rule\n$finding->variant\n".Utf8::scrub($finding->message),
        ];
    }

    /** @return array{file: string, fingerprint: string, kind: string} */
    private static function ofRun(Finding $finding): array
    {
        return [
            'file' => $finding->file,
            'fingerprint' => $finding->fingerprint,
            'kind' => "$finding->rule\n$finding->variant\n$finding->message",
        ];
    }

    /**
     * Those that the others do not have: not the same one, and not one that says the same in the same file, as a change
     * before it may have made another place of it.
     *
     * @param  Collection<int, array{file: string, fingerprint: string, kind: string}>  $some
     * @param  Collection<int, array{file: string, fingerprint: string, kind: string}>  $others
     * @return Collection<int, array{file: string, fingerprint: string, kind: string}>
     */
    private static function without(Collection $some, Collection $others): Collection
    {
        $prints = $others->keyBy('fingerprint');
        $same = $some->keyBy('fingerprint');
        $left = $others->reject(fn (array $one) => $same->has($one['fingerprint']))
            ->countBy(fn (array $one) => "$one[file]\n$one[kind]")->all();

        return $some->reject(function (array $one) use ($prints, &$left): bool {
            if ($prints->has($one['fingerprint'])) {
                return true;
            }
            $key = "$one[file]\n$one[kind]";
            $left[$key] = ($left[$key] ?? 0) - 1;

            return $left[$key] >= 0;
        })->values();
    }

    /**
     * @param  list<PlacedFinding>  $here
     * @param  array<array-key, true>  $new  fingerprints
     * @return list<MendedFinding>
     */
    private static function findings(array $here, array $new, SourceFile $file): array
    {
        $edits = fn (PlacedFinding $one) => self::edits($one, $file->path);
        $offsets = [];
        foreach ($here as $one) {
            array_push($offsets, $one->start->offset, $one->end->offset);
            foreach ($edits($one) as $edit) {
                array_push($offsets, $edit->inFile()->start, $edit->inFile()->end);
            }
        }
        $places = MendedText::places($file, $offsets);

        return array_map(fn (PlacedFinding $one) => new MendedFinding(
            $one->fingerprint,
            $one->finding->rule,
            $one->finding->variant,
            $one->finding->weight,
            $one->finding->mark,
            $one->start->line,
            $places[$one->start->offset] ?? 0,
            $places[$one->end->offset] ?? 0,
            Utf8::scrub($one->finding->message),
            Utf8::scrub($one->finding->remedy),
            isset($new[$one->fingerprint]),
            array_map(
                fn (Edit $edit) => new TextEdit(
                    $places[$edit->inFile()->start] ?? 0,
                    $places[$edit->inFile()->end] ?? 0,
                    $edit->text,
                ),
                $edits($one),
            ),
        ), $here);
    }

    /** @return list<Edit> none where its remedy changes another file too */
    private static function edits(PlacedFinding $placed, string $path): array
    {
        $edits = $placed->finding->mend->edits ?? [];
        $others = array_filter($edits, fn (Edit $edit) => $edit->source->path !== $path);

        return $others === [] ? $edits : [];
    }
}
