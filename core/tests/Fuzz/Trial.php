<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Fuzz;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Report\JsonReport;
use InkedMargin\Core\Report\SarifReport;
use InkedMargin\Core\Report\SiteSurvey;
use InkedMargin\Core\Report\TextReport;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

/** One invented hand-in, checked: what must hold of any bytes at all. */
final readonly class Trial
{
    /**
     * @return list<string> what does not hold; empty when all is well
     *
     * @throws \Throwable what the core must never throw
     */
    public static function run(int $seed): array
    {
        $inventor = new Inventor($seed);
        if ($inventor->chance(10)) {
            self::archive($inventor);
        }
        $files = $inventor->site();
        $brief = self::brief($inventor);
        $packing = new Packing(
            $inventor->oneOf([null, 'a.zip', 'a.zip.zip']),
            $inventor->oneOf([[], ['a'], ['a', 'b']]),
            $inventor->oneOf([null, 'ann']),
            address: $inventor->oneOf([null, 'http://localhost/', 'https://[::1]/', 'https://ann.example/a/', "\0"]),
        );
        $given = fn () => $inventor->chance(30)
            ? self::siteOf($inventor->chance(50) ? $files : $inventor->site())
            : null;
        $materials = new Materials($given(), $given(), $given(), $given());
        $report = Check::run(self::siteOf($files, $packing), $brief, materials: $materials);

        return [
            ...self::reportHolds($report, $brief, $materials),
            ...self::mendsHold($report, $files),
            ...self::pointsHold($report),
        ];
    }

    /** @param  array<int|string, string>  $files */
    private static function siteOf(array $files, Packing $packing = new Packing): Site
    {
        return new Site(
            'trial',
            array_map(
                fn (int|string $path, string $bytes) => new SourceFile((string) $path, $bytes),
                array_keys($files),
                $files,
            ),
            $packing,
        );
    }

    private static function brief(Inventor $inventor): Brief
    {
        try {
            return $inventor->chance(60) ? BriefReader::read($inventor->brief()) : Brief::none();
        } catch (BriefError) {
            return Brief::none();
        }
    }

    private static function archive(Inventor $inventor): void
    {
        $files = array_filter(
            $inventor->site(),
            fn (int|string $path) => ! str_contains((string) $path, "\0"),
            ARRAY_FILTER_USE_KEY,
        );
        // PHP writes no archive without a file in it.
        $zip = Samples::zip($files + ['index.html' => '']);
        file_put_contents($zip, $inventor->mutated((string) file_get_contents($zip)));
        try {
            (new ArchiveReader)->read($zip, 'trial.zip');
        } catch (Refusal) {
            // A refusal is what a damaged archive is for.
        } finally {
            unlink($zip);
        }
    }

    /** @return list<string> */
    private static function reportHolds(CheckReport $report, Brief $brief, Materials $materials): array
    {
        $wrong = [];
        $json = JsonReport::render($report);
        if (JsonReport::render(Check::run($report->site->files, $brief, materials: $materials)) !== $json) {
            $wrong[] = 'the same input gave another report';
        }
        SarifReport::render($report);
        (new TextReport)->render($report);
        SiteSurvey::render($report->site, $brief);
        $prints = [];
        foreach ($report->findings as $placed) {
            $finding = $placed->finding;
            $size = strlen($report->site->files->file($finding->file)->bytes ?? '');
            if ($finding->message === '' || str_contains($finding->message.$finding->remedy, '{student')) {
                $wrong[] = "{$finding->kind()} says \"{$finding->message}\"";
            }
            if ($placed->start->offset < 0
                || $placed->end->offset < $placed->start->offset
                || $placed->end->offset > $size) {
                $wrong[] = "{$finding->kind()} is at {$placed->start->offset} to {$placed->end->offset} of $size bytes in {$finding->file}";
            }
            if (isset($prints["print {$placed->fingerprint}"])) {
                $wrong[] = "{$finding->kind()} has the fingerprint of another finding";
            }
            $prints["print {$placed->fingerprint}"] = true;
        }

        return $wrong;
    }

    /**
     * @param  array<int|string, string>  $files
     * @return list<string>
     */
    private static function mendsHold(CheckReport $report, array $files): array
    {
        $wrong = [];
        foreach ($report->findings as $placed) {
            foreach ($placed->finding->mend->edits ?? [] as $edit) {
                $span = $edit->inFile();
                if ($span->end > strlen($files[$edit->source->path] ?? '')) {
                    $wrong[] = "{$placed->finding->kind()} has a mend past the end of {$edit->source->path}";
                }
            }
        }

        return $wrong;
    }

    /** @return list<string> points lost mean a shortfall with a place and words; no shortfall means full points */
    private static function pointsHold(CheckReport $report): array
    {
        $wrong = [];
        foreach ($report->outcomes as $outcome) {
            $isFull = $outcome->points->awarded >= $outcome->points->possible;
            $isClear = $outcome->kind->value !== 'not-judged';
            if ($isClear && ! $isFull && ($outcome->shortfalls() === [] || $outcome->findings === [])) {
                $wrong[] = "{$outcome->requirement->terms->id} ({$outcome->requirement::kind()}) lost points, and nothing shows why: "
                    .count($outcome->shortfalls()).' shortfalls, '.count($outcome->findings).' findings';
            }
            if ($outcome->shortfalls() === [] && $isClear && ! $isFull) {
                $wrong[] = "{$outcome->requirement->terms->id} is not met, and has no shortfall";
            }
        }

        return $wrong;
    }
}
