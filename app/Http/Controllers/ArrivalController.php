<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ArrivalsRequest;
use App\Http\Requests\MatchRequest;
use App\Http\Resources\ArrivalView;
use App\Http\Resources\RunView;
use App\Http\Resources\StudentLine;
use App\Http\Resources\Taken;
use App\Intake\BlobStore;
use App\Intake\StoreFailure;
use App\Jobs\UnpackArrival;
use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\Assignment;
use App\Models\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Source\Utf8;
use OpenApi\Attributes as OA;

final class ArrivalController extends Controller
{
    #[OA\Get(
        path: '/api/assignments/{assignment}/arrivals',
        operationId: 'arrivals',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ArrivalView::class)),
        )],
    )]
    public function index(Assignment $assignment): JsonResponse
    {
        $students = $assignment->course()->firstOrFail()->students()->get();
        $students = $students->keyBy('id');
        $arrivals = $assignment->arrivals()
            ->with(['student', 'handIn.run'])
            ->orderByRaw("state = 'unmatched' desc, arrived_at desc, id desc")
            ->limit(300)->get();

        return response()->json($arrivals->map(fn (Arrival $arrival) => new ArrivalView(
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
        ))->values());
    }

    #[OA\Post(
        path: '/api/assignments/{assignment}/arrivals',
        operationId: 'drop',
        requestBody: new OA\RequestBody(content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(properties: [
            new OA\Property(property: 'files[]', type: 'array', items: new OA\Items(type: 'string', format: 'binary')),
        ]))),
        responses: [new OA\Response(
            response: 202,
            description: 'Waiting to be unpacked',
            content: new OA\JsonContent(ref: Taken::class),
        )],
    )]
    public function store(ArrivalsRequest $request, Assignment $assignment, BlobStore $blobs): JsonResponse
    {
        if ($assignment->closed_at !== null) {
            throw ValidationException::withMessages(['files' => 'This assignment is closed. Open it again to take hand-ins; none was taken.']);
        }
        /** @var list<UploadedFile> $files */
        $files = $request->file('files');
        foreach ($files as $taken => $file) {
            try {
                $sha256 = $blobs->putFile($file->getPathname());
            } catch (StoreFailure $failure) {
                throw new StoreFailure(
                    "{$failure->getMessage()} $taken of ".count($files).' were taken; drop the others again.',
                    previous: $failure,
                );
            }
            // Both or neither: what is in the tray is sure to be unpacked. (What a transaction returns is dispatched after it.)
            DB::transaction(function () use ($assignment, $file, $sha256): void {
                UnpackArrival::dispatch($assignment->arrivals()->create([
                    'name' => self::name($file),
                    'sha256' => $sha256,
                    'state' => ArrivalState::Waiting,
                    'arrived_at' => now(),
                ])->id);
            });
        }

        // PHP drops what is beyond its own limit without a word: the client counts.
        return response()->json(new Taken(count($files)), 202);
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

    /** The name that the file came with, without folders, as long as the database keeps. */
    private static function name(UploadedFile $file): string
    {
        $name = basename(str_replace('\\', '/', Utf8::scrub($file->getClientOriginalName())));

        return mb_strlen($name) <= 255 ? $name : '…'.mb_substr($name, -254);
    }

    /** Says whose an arrival is that could not be matched. */
    #[OA\Patch(
        path: '/api/arrivals/{arrival}',
        operationId: 'match',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: MatchRequest::class)),
        responses: [new OA\Response(response: 202, description: 'Waiting to be unpacked')],
    )]
    public function update(MatchRequest $request, Arrival $arrival): JsonResponse
    {
        $arrival->load('assignment.course');
        $student = $arrival->assignment->course->students()->find($request->string('student')->toString());
        $matched = $student !== null && DB::transaction(function () use ($arrival, $student): bool {
            $isMine = Arrival::query()->whereKey($arrival->id)->where('state', ArrivalState::Unmatched)
                ->update(['student_id' => $student->id, 'state' => ArrivalState::Waiting]) > 0;
            if ($isMine) {
                UnpackArrival::dispatch($arrival->id);
            }

            return $isMine;
        });
        if (! $matched) {
            throw ValidationException::withMessages(['student' => $student === null ? 'That student is not on this course.' : 'Somebody has matched this one already.']);
        }

        return response()->json(null, 202);
    }
}
