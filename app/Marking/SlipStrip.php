<?php

declare(strict_types=1);

namespace App\Marking;

use App\Feedback\NewestFindings;
use App\Feedback\QuotedLine;
use App\Feedback\QuoteReader;
use App\Models\Assignment;
use App\Models\Finding;
use App\Models\RemarkKind;
use App\Storage\BlobStore;

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
        $found = NewestFindings::withFiles(NewestFindings::inClass($assignment->id, $rule, $variant))
            ->join('students as s', 's.id', '=', 'h.student_id')
            ->leftJoin('remarks as ink', fn ($join) => $join
                ->on('ink.hand_in_id', '=', 'h.id')->on('ink.fingerprint', '=', 'findings.fingerprint'))
            ->select([
                'findings.*', 'h.id as hand_in_id', 's.name as student', 'files.sha256', 'ink.kind as decided',
            ])
            ->selectRaw('count(*) over () as altogether')
            ->orderBy('s.name')->orderBy('h.id')->orderBy('position')
            ->limit(self::MOST)->get();
        $quotes = new QuoteReader($this->blobs);
        $spots = array_values($found->map(
            fn (Finding $one) => self::spot($one, $quotes->at($one, self::AROUND)),
        )->all());
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
