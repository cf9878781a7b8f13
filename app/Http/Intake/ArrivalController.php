<?php

declare(strict_types=1);

namespace App\Http\Intake;

use App\Courses\Extensions;
use App\Description\Status;
use App\Description\Takes;
use App\Http\Shared\Controller;
use App\Http\Shared\Made;
use App\Http\Shared\PartRequest;
use App\Http\Shared\RunView;
use App\Http\Shared\StudentLine;
use App\Http\Shared\Taken;
use App\Http\Shared\UploadRequest;
use App\Http\Shared\UploadView;
use App\Intake\AddressList;
use App\Intake\FetchSite;
use App\Intake\FileName;
use App\Intake\LearnedNames;
use App\Intake\Published\AddressRule;
use App\Intake\StudentMatcher;
use App\Intake\UnpackArrival;
use App\Intake\UploadParts;
use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\Assignment;
use App\Models\HandIn;
use App\Models\Student;
use App\Models\Upload;
use App\Sites\CountedAttempt;
use App\Sites\Space;
use App\Storage\BlobStore;
use App\Storage\StoreFailure;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Intake\Refusal;

final class ArrivalController extends Controller
{
    private const MOST = 600;

    /** So many wrong lines are told at once. */
    private const MAX_WRONG = 8;

    /** @return list<ArrivalView> */
    public function index(Assignment $assignment): array
    {
        $students = $assignment->loadMissing('course')->course->students()->get()->keyBy('id');
        $arrivals = $assignment->arrivals()
            ->with(['student', 'handIn.run'])
            ->orderByRaw("state = 'unmatched' desc, arrived_at desc, id desc")
            ->limit(self::MOST)->get();

        $extensions = Extensions::of($assignment);

        return array_values($arrivals->map(fn (Arrival $arrival) => new ArrivalView(
            $arrival->id,
            $arrival->name,
            $arrival->state,
            $arrival->reason,
            $arrival->arrived_at->toIso8601String(),
            $arrival->student === null ? null : StudentLine::of($arrival->student),
            $arrival->state === ArrivalState::Unmatched ? self::likely($arrival, $students) : [],
            $arrival->hand_in_id,
            $arrival->handIn?->attempt,
            $arrival->handIn === null ? null : RunView::of($arrival->handIn->run),
            $arrival->handIn?->run?->foundCount() ?? 0,
            $arrival->within,
            $arrival->parent_id,
            $arrival->drop_id,
            $arrival->address,
            $arrival->told,
            $arrival->handIn->late ?? false,
            $arrival->student === null ? null : $extensions->view($arrival->student),
        ))->all());
    }

    #[Status(202)]
    public function store(ArrivalsRequest $request, Assignment $assignment, BlobStore $blobs): Taken
    {
        self::refuseClosed($assignment);
        /** @var list<UploadedFile> $files */
        $files = $request->file('files');
        $size = array_sum(array_map(fn (UploadedFile $file) => (int) $file->getSize(), $files));
        self::admit($assignment, $size, 'None was taken.');
        foreach ($files as $taken => $file) {
            try {
                $sha256 = $blobs->putFile($file->getPathname());
            } catch (StoreFailure $failure) {
                throw new StoreFailure(
                    "{$failure->getMessage()} $taken of ".count($files).' were taken; drop the others again.',
                    previous: $failure,
                );
            }
            // Both or neither: what is in the tray is sure to be unpacked.
            DB::transaction(fn () => UnpackArrival::request($assignment, [
                'name' => FileName::kept($file->getClientOriginalName()),
                'sha256' => $sha256,
                'packed' => $request->boolean("packed.$taken"),
                'drop_id' => $request->filled('drop') ? $request->string('drop')->toString() : null,
            ]));
        }

        // PHP drops what is beyond its own limit without a word: the client counts.
        return new Taken(count($files));
    }

    /** Sites that are published already: each is fetched, and filed like any other. All of the lines, or none. */
    #[Status(202)]
    public function addresses(AddressesRequest $request, Assignment $assignment, BlobStore $blobs): Taken
    {
        self::refuseClosed($assignment);
        $course = $assignment->course()->firstOrFail();
        [$sites, $wrong] = AddressList::read(
            $request->string('text')->toString(),
            new StudentMatcher($course->students()->get(), LearnedNames::of($course->id)),
            AddressRule::ofConfig(),
        );
        if ($wrong !== []) {
            $shown = array_slice($wrong, 0, self::MAX_WRONG);
            $more = count($wrong) - count($shown);
            $last = $more === 0 ? 'Nothing was taken.' : "And $more more. Nothing was taken.";
            throw ValidationException::withMessages(['text' => implode("\n", [...$shown, $last])]);
        }
        $drop = $request->string('drop')->toString();
        DB::transaction(function () use ($sites, $assignment, $drop, $blobs): void {
            foreach ($sites as [$student, $address]) {
                FetchSite::request($assignment, $student, $address, '', now(), $blobs, $drop);
            }
        });

        return new Taken(count($sites));
    }

    /** A file begins to come in, in parts. */
    #[Status(201)]
    public function begin(UploadRequest $request, Assignment $assignment): UploadView
    {
        self::refuseClosed($assignment);
        self::admit($assignment, $request->integer('bytes'), 'Nothing was sent.');
        $upload = Upload::query()->create([
            'assignment_id' => $assignment->id, 'name' => $request->fileName(), 'bytes' => $request->integer('bytes'),
        ]);

        return UploadView::of($upload, 0);
    }

    #[Takes('application/octet-stream')]
    public function add(PartRequest $request, Upload $upload, UploadParts $parts): UploadView
    {
        self::refuseStudents($upload);

        return UploadView::of($upload, $parts->add($upload, $request->offset(), $request->part()));
    }

    /** The file is whole: it lies in the tray, waiting to be unpacked. */
    #[Status(201)]
    public function drop(DropRequest $request, Upload $upload, UploadParts $parts): Made
    {
        self::refuseStudents($upload);
        $assignment = $upload->assignment()->firstOrFail();
        self::refuseClosed($assignment);
        $sha256 = $parts->finish($upload);
        $arrival = DB::transaction(function () use ($request, $upload, $assignment, $sha256): Arrival {
            $upload->delete();

            return UnpackArrival::request($assignment, [
                'name' => $upload->name,
                'sha256' => $sha256,
                'packed' => $request->boolean('packed'),
                'drop_id' => $request->string('drop')->toString(),
            ]);
        });

        return new Made($arrival->id);
    }

    /** Takes back what was dropped together, but for hand-ins that somebody has written to. */
    public function takeBack(Assignment $assignment, string $drop): TakenBack
    {
        return DB::transaction(function () use ($assignment, $drop): TakenBack {
            Assignment::query()->whereKey($assignment->id)->lockForUpdate()->firstOrFail();
            $arrivals = $assignment->arrivals()->where('drop_id', $drop)->get();
            $handIns = HandIn::query()->whereKey(
                $arrivals->where('state', ArrivalState::Taken)->pluck('hand_in_id')->filter(),
            )
                ->withCount(['remarks', 'replies', 'marks'])->get();
            $kept = $handIns->filter(
                fn (HandIn $one) => $one->remarks_count + $one->replies_count + $one->marks_count > 0,
            );
            $gone = $arrivals->whereNotIn('hand_in_id', $kept->modelKeys());
            Arrival::query()->whereKey($gone->modelKeys())->delete();
            HandIn::query()->whereKey($handIns->diff($kept)->modelKeys())->delete();
            CountedAttempt::settle($assignment);

            return new TakenBack($gone->count(), $kept->count());
        });
    }

    /** What a student sends is for them alone to send. */
    private static function refuseStudents(Upload $upload): void
    {
        abort_if($upload->student_id !== null, 404, 'There is no such file on its way.');
    }

    /** @throws ValidationException where there is no space for so many bytes */
    private static function admit(Assignment $assignment, int $bytes, string $kept): void
    {
        try {
            Space::admitFile($assignment->course_id, $bytes);
        } catch (Refusal $refusal) {
            throw ValidationException::withMessages(['files' => "{$refusal->getMessage()} $kept"]);
        }
    }

    private static function refuseClosed(Assignment $assignment): void
    {
        if ($assignment->closed_at !== null) {
            throw ValidationException::withMessages([
                'files' => 'This assignment is closed. Open it again to take hand-ins; none was taken.',
            ]);
        }
    }

    /**
     * @param  Collection<int|string, Student>  $students  by id
     * @return list<StudentLine> the likeliest first
     */
    private static function likely(Arrival $arrival, Collection $students): array
    {
        $likely = array_filter(array_map(fn (string $id) => $students->get($id), $arrival->likely));

        return array_values(array_map(StudentLine::of(...), $likely));
    }

    /** Says whose an arrival is that could not be matched. */
    #[Status(202)]
    public function update(MatchRequest $request, Arrival $arrival): void
    {
        $arrival->load('assignment.course');
        $student = $arrival->assignment->course->students()->find($request->string('student')->toString());
        $matched = $student !== null && DB::transaction(function () use ($arrival, $student): bool {
            $isMine = Arrival::query()->whereKey($arrival->id)->where('state', ArrivalState::Unmatched)
                ->update(['student_id' => $student->id, 'state' => ArrivalState::Waiting]) > 0;
            if ($isMine) {
                LearnedNames::learn($arrival, $student);
                UnpackArrival::dispatch($arrival->id);
            }

            return $isMine;
        });
        if (! $matched) {
            throw ValidationException::withMessages([
                'student' => $student === null
                    ? 'That student is not on this course.'
                    : 'Somebody has matched this one already.',
            ]);
        }
    }
}
