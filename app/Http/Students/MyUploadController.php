<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Description\Status;
use App\Description\Takes;
use App\Http\Shared\Controller;
use App\Http\Shared\Made;
use App\Http\Shared\PartRequest;
use App\Http\Shared\UploadRequest;
use App\Http\Shared\UploadView;
use App\Intake\ComparePublished;
use App\Intake\ExpectedRoot;
use App\Intake\FetchSite;
use App\Intake\HandInFiler;
use App\Intake\HandingIn;
use App\Intake\Published\FetchTurn;
use App\Intake\ReceivedSite;
use App\Intake\UploadParts;
use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\Student;
use App\Models\Upload;
use App\Sites\Space;
use App\Storage\BlobStore;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\RootHints;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\English;

/** A student's site on its way to be handed in. */
final class MyUploadController extends Controller
{
    private const MAX_UPLOADS = 2;

    /** Seconds after which a request that unpacked has ended, one way or another. */
    private const LONGEST_UNPACKING = 60;

    public function __construct(private readonly UploadParts $parts)
    {
    }

    /** The clock stops here: what began in time is in time. */
    #[Status(201)]
    public function begin(UploadRequest $request, string $token, string $assignment): UploadView
    {
        $student = MyPageController::student($token);
        $work = MyPageController::work($student, $assignment);
        self::forgetOlder($student);
        self::admit(fn () => Space::admitFile($work->course_id, $request->integer('bytes')), 'Nothing was sent.');
        $upload = Upload::query()->create([
            'assignment_id' => $work->id,
            'student_id' => $student->id,
            'name' => $request->fileName(),
            'bytes' => $request->integer('bytes'),
        ]);

        return UploadView::of($upload, 0);
    }

    #[Takes('application/octet-stream')]
    public function add(PartRequest $request, string $token, string $upload): UploadView
    {
        $upload = self::upload(MyPageController::student($token), $upload);

        return UploadView::of($upload, $this->parts->add($upload, $request->offset(), $request->part()));
    }

    #[Status(201)]
    public function handIn(MyHandInRequest $request, HandInFiler $filing, string $token, string $upload): Made
    {
        $student = MyPageController::student($token);
        $upload = self::upload($student, $upload);
        $work = MyPageController::work($student, $upload->assignment_id);
        // Begun in time is in time, unless it took as long as nothing takes.
        $arrivedAt = $upload->created_at->diffInMinutes(now()) > HandingIn::LONGEST_UPLOAD
            ? now()
            : $upload->created_at;
        $refusal = fn () => HandingIn::of($work->refresh(), $student, $arrivedAt)->refusal();
        self::refuse($refusal());
        $site = self::alone($student, fn (): Site => $this->site(
            $upload,
            $request->boolean('packed'),
            ExpectedRoot::of($work, $student),
        ));
        // Before its bytes are kept.
        self::admit(fn () => Space::admitSite($work, $student, $site->size()));
        $received = new ReceivedSite(
            $work,
            $student,
            $site,
            $request->boolean('packed') ? '' : $upload->name,
            $this->parts->finish($upload),
            $arrivedAt,
            $request->string('note')->trim()->toString(),
            self::published($request),
        );
        $handInId = DB::transaction(function () use ($filing, $received, $refusal, $upload, $work, $student): string {
            $last = null;
            $filed = $filing->file($received, function () use ($refusal, &$last): bool {
                $last = $refusal();

                return $last === null;
            });
            self::refuse($last);
            [$handIn, $isRepeated] = $filed ?? abort(409);
            if ($isRepeated) {
                throw ValidationException::withMessages([
                    'upload' => "This is the same file as your attempt $handIn->attempt. Nothing was added.",
                ]);
            }
            $work->arrivals()->create([
                'name' => $upload->name,
                'sha256' => $received->sha256,
                'state' => ArrivalState::Taken,
                'arrived_at' => $received->arrivedAt,
                'student_id' => $student->id,
                'hand_in_id' => $handIn->id,
            ]);
            $upload->delete();
            if ($handIn->address !== null) {
                ComparePublished::dispatch($handIn->id);
            }

            return $handIn->id;
        });

        return new Made($handInId);
    }

    /** A site that is published: it is fetched, and filed like any other. */
    #[Status(202)]
    public function address(
        MyAddressRequest $request,
        BlobStore $blobs,
        string $token,
        string $assignment,
    ): Made {
        $student = MyPageController::student($token);
        $work = MyPageController::work($student, $assignment);
        self::refuse(HandingIn::of($work, $student)->refusal());
        $address = $request->string('address')->trim()->toString();
        $isWaiting = $work->arrivals()->where('student_id', $student->id)->where('address', $address)
            ->where('state', ArrivalState::Waiting)->exists();
        if ($isWaiting) {
            throw ValidationException::withMessages(['address' => 'That address is being looked for already.']);
        }
        $waiting = Arrival::query()->where('student_id', $student->id)->whereNotNull('address')
            ->where('state', ArrivalState::Waiting)->count();
        if ($waiting >= FetchTurn::MAX_WAITING) {
            $count = English::count($waiting, 'address', 'addresses');
            throw ValidationException::withMessages([
                'address' => "You have $count that we are still fetching. Wait until one of them is done. "
                    .'Nothing was handed in.',
            ]);
        }
        $note = $request->string('note')->trim()->toString();
        $arrival = FetchSite::request($work, $student, $address, $note, now(), $blobs);

        return new Made($arrival->id);
    }

    /** Of what a student began to send, only the newest few are kept: nobody fills the disk. */
    private static function forgetOlder(Student $student): void
    {
        Upload::query()->where('student_id', $student->id)->latest('created_at')->latest('id')
            ->skip(self::MAX_UPLOADS - 1)->limit(100)->get()->each(fn (Upload $one) => $one->delete());
    }

    /**
     * Unpacking takes memory and time: each student has one turn at a time.
     *
     * @template T
     *
     * @param  \Closure(): T  $unpack
     * @return T
     */
    private static function alone(Student $student, \Closure $unpack): mixed
    {
        $lock = Cache::lock("hand-in of $student->id", self::LONGEST_UNPACKING);
        abort_unless((bool) $lock->get(), 409, 'Another hand-in of yours is being received. Try again in a few seconds.');
        try {
            return $unpack();
        } finally {
            $lock->release();
        }
    }

    /** @throws ValidationException where it is no site */
    private function site(Upload $upload, bool $isPacked, RootHints $hints): Site
    {
        abort_unless($upload->isWhole(), 422, 'Not all of the file has arrived. Send the rest.');

        return self::admit(fn (): Site => (new ArchiveReader(hints: $hints))->read(
            Upload::path($upload->id),
            $upload->name,
            ! $isPacked,
        ));
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $take
     * @param  string  $kept  ends the words of a refusal
     * @return T
     *
     * @throws ValidationException where it is refused
     */
    private static function admit(\Closure $take, string $kept = 'Nothing was handed in.'): mixed
    {
        try {
            return $take();
        } catch (Refusal $refusal) {
            throw ValidationException::withMessages(['upload' => "{$refusal->getMessage()} $kept"]);
        }
    }

    private static function refuse(?string $refusal): void
    {
        if ($refusal !== null) {
            throw ValidationException::withMessages(['upload' => "$refusal Nothing was handed in."]);
        }
    }

    public static function published(MyHandInRequest $request): ?string
    {
        return $request->filled('address') ? $request->string('address')->toString() : null;
    }

    public static function upload(Student $student, string $id): Upload
    {
        $upload = Upload::query()->where('student_id', $student->id)->find($id);
        abort_unless($upload instanceof Upload, 404, 'There is no such file on its way any more. Choose it again.');

        return $upload;
    }
}
