<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Courses\ExtensionView;
use App\Feedback\DeskKind;
use App\Http\Shared\RunView;
use App\Http\Sites\Leaf;
use App\Replies\ScoreView;
use OpenApi\Attributes as OA;

/** One hand-in, to be read and marked. */
#[OA\Schema]
final readonly class Desk
{
    /**
     * @param  list<AttemptLine>  $attempts
     * @param  list<Leaf>  $leaves
     * @param  list<LeafTally>  $tallies
     * @param  list<DeskKind>  $kinds
     * @param  list<DeskNote>  $notes
     * @param  list<DeskOutcome>  $outcomes
     * @param  list<ServedFile>|null  $served
     * @param  list<string>  $mended  paths
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $student,
        #[OA\Property]
        public string $studentId,
        #[OA\Property]
        public int $attempt,
        #[OA\Property(type: 'array', items: new OA\Items(ref: AttemptLine::class))]
        public array $attempts,
        #[OA\Property]
        public string $assignmentId,
        #[OA\Property]
        public string $assignment,
        #[OA\Property]
        public string $courseId,
        #[OA\Property]
        public string $course,
        #[OA\Property]
        public string $arrivedAt,
        #[OA\Property]
        public bool $late,
        #[OA\Property]
        public string $coveringNote,
        #[OA\Property(description: 'where the site is published, when that was said')]
        public ?string $address,
        #[OA\Property(
            description: 'what the server said of each file of a fetched site; null for what came as files',
            type: 'array',
            nullable: true,
            items: new OA\Items(ref: ServedFile::class),
        )]
        public ?array $served,
        #[OA\Property(description: 'whether there was more of it than was fetched')]
        public bool $cut,
        #[OA\Property(
            description: 'where files and an address came together; null where nobody has looked yet',
            nullable: true,
        )]
        public ?ComparedSite $compared,
        #[OA\Property(description: 'whether it is the attempt that is marked')]
        public bool $counts,
        #[OA\Property(description: 'by hand')]
        public bool $chosen,
        #[OA\Property]
        public string $archiveName,
        #[OA\Property]
        public RunView $run,
        #[OA\Property(type: 'array', items: new OA\Items(ref: Leaf::class))]
        public array $leaves,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LeafTally::class))]
        public array $tallies,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DeskKind::class))]
        public array $kinds,
        #[OA\Property(description: 'of the leaf that was asked for, or the first one')]
        public LeafFindings $first,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DeskNote::class))]
        public array $notes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DeskOutcome::class))]
        public array $outcomes,
        #[OA\Property]
        public ScoreView $score,
        #[OA\Property(description: 'what the total was before the last check changed it', nullable: true)]
        public ?EarlierScore $before,
        #[OA\Property(nullable: true)]
        public ?ExtensionView $extension,
        #[OA\Property(description: 'the student’s own due time; null where there is none')]
        public ?string $dueAt,
        #[OA\Property(description: 'of the course, of the IANA database')]
        public string $timeZone,
        #[OA\Property]
        public ?string $previousId,
        #[OA\Property]
        public ?string $nextId,
        #[OA\Property(description: 'among those that are read in this order, such as "3 of 12"')]
        public string $place,
        #[OA\Property(description: 'why it has to wait; null where it has not')]
        public ?string $putBy,
        #[OA\Property(
            description: 'of files of which there is a mended copy',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
        public array $mended,
        #[OA\Property(description: 'changes when somebody writes to it from another desk')]
        public string $stamp,
        #[OA\Property]
        public ?string $repliedAt,
    ) {
    }
}
