<?php

declare(strict_types=1);

namespace App\Marking;

use App\Http\Resources\SlipSpot;
use App\Http\Resources\SlipSpots;
use App\Ink\Found;
use App\Intake\BlobStore;
use App\Models\Assignment;
use App\Models\Finding;
use App\Models\RemarkKind;
use App\Quotes\Place;
use App\Quotes\Quote;
use App\Quotes\QuotedLine;
use InkedMargin\Core\Source\SourceFile;

/** All places of one kind of slip in a class, each with the lines around it. */
final readonly class SlipStrip
{
    /** So many places are read in a row. */
    private const MOST = 300;

    /** Lines before and after each. */
    private const AROUND = 3;

    public function __construct(private BlobStore $blobs)
    {
    }

    /** Asks the database once, whatever the number, and reads each file once. */
    public function of(Assignment $assignment, string $rule, string $variant): SlipSpots
    {
        $found = Found::inClass($assignment->id, $rule, $variant)
            ->join('students as s', 's.id', '=', 'h.student_id')
            ->leftJoin('hand_in_files as files', fn ($join) => $join
                ->on('files.hand_in_id', '=', 'h.id')->on('files.path', '=', 'findings.file'))
            ->leftJoin('remarks as ink', fn ($join) => $join
                ->on('ink.hand_in_id', '=', 'h.id')->on('ink.fingerprint', '=', 'findings.fingerprint'))
            ->select([
                'findings.*', 'h.id as hand_in_id', 's.name as student', 'files.sha256', 'ink.kind as decided',
            ])
            ->selectRaw('count(*) over () as altogether')
            ->orderBy('s.name')->orderBy('h.id')->orderBy('position')
            ->limit(self::MOST)->get();
        $quotes = [];
        $spots = [];
        foreach ($found as $finding) {
            $sha256 = $finding->getAttribute('sha256');
            if (! is_string($sha256) || $finding->isAboutWholeFile()) {
                $spots[] = self::spot($finding, []);

                continue;
            }
            $key = "$sha256 $finding->file";
            if (! array_key_exists($key, $quotes)) {
                $quotes[$key] = Quote::from(new SourceFile($finding->file, $this->blobs->get($sha256)));
            }
            $spots[] = self::spot($finding, $quotes[$key]?->of(Place::of($finding), self::AROUND) ?? []);
        }
        $altogether = $found->first()?->getAttribute('altogether');

        return new SlipSpots($spots, max(0, (is_numeric($altogether) ? (int) $altogether : 0) - count($spots)));
    }

    /** @param  list<QuotedLine>  $lines */
    private static function spot(Finding $finding, array $lines): SlipSpot
    {
        $decided = $finding->getAttribute('decided');
        $text = fn (mixed $value) => is_string($value) ? $value : '';

        return new SlipSpot(
            $text($finding->getAttribute('hand_in_id')),
            $text($finding->getAttribute('student')),
            $finding->file,
            $finding->place()['line'],
            $finding->fingerprint,
            is_string($decided) ? RemarkKind::from($decided)->state() : 'pencilled',
            $finding->mark,
            $finding->weight,
            $finding->message,
            $finding->remedy,
            $lines,
        );
    }
}
