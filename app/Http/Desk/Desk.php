<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Courses\ExtensionView;
use App\Feedback\DeskKind;
use App\Http\Shared\RunView;
use App\Http\Sites\Leaf;
use App\Replies\ScoreView;

/** One hand-in, to be read and marked. */
final readonly class Desk
{
    /**
     * @param  list<AttemptLine>  $attempts
     * @param  list<Leaf>  $leaves
     * @param  list<LeafTally>  $tallies
     * @param  list<DeskKind>  $kinds
     * @param  list<DeskNote>  $notes
     * @param  list<DeskOutcome>  $outcomes
     * @param  list<ServedFile>|null  $served  what the server said of each file of a fetched site; null for what came
     *     as files
     * @param  list<string>  $mended  paths
     */
    public function __construct(
        public string $id,
        public string $student,
        public string $studentId,
        public int $attempt,
        public array $attempts,
        public string $assignmentId,
        public string $assignment,
        public string $courseId,
        public string $course,
        public string $arrivedAt,
        public bool $late,
        public string $coveringNote,
        /** where the site is published, when that was said */
        public ?string $address,
        public ?array $served,
        /** whether there was more of it than was fetched */
        public bool $cut,
        /** where files and an address came together; null where nobody has looked yet */
        public ?ComparedSite $compared,
        /** whether it is the attempt that is marked */
        public bool $counts,
        /** by hand */
        public bool $chosen,
        public string $archiveName,
        public RunView $run,
        public array $leaves,
        public array $tallies,
        public array $kinds,
        /** of the leaf that was asked for, or the first one */
        public LeafFindings $first,
        public array $notes,
        public array $outcomes,
        public ScoreView $score,
        /** what the total was before the last check changed it */
        public ?EarlierScore $before,
        public ?ExtensionView $extension,
        /** the student’s own due time; null where there is none */
        public ?string $dueAt,
        /** of the course, of the IANA database */
        public string $timeZone,
        public ?string $previousId,
        public ?string $nextId,
        /** among those that are read in this order, such as "3 of 12" */
        public string $place,
        /** why it has to wait; null where it has not */
        public ?string $putBy,
        public array $mended,
        /** changes when somebody writes to it from another desk */
        public string $stamp,
        public ?string $repliedAt,
    ) {
    }
}
