<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Http\Shared\Controller;
use App\Http\Shared\Made;
use App\Intake\HandingIn;
use App\Intake\Tries\TrySite;
use App\Models\SiteTry;
use App\Models\Student;
use App\Models\StudentsSee;
use App\Models\TryState;
use App\Models\Upload;
use App\Storage\SharedDisk;
use App\Storage\StoreFailure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** A student's site that is tried before it is handed in. A worker checks it, and the site is kept nowhere. */
final class MyTryController extends Controller
{
    /** Begins a try. An older one of the same student ends. */
    #[OA\Post(
        path: '/api/my/{token}/uploads/{upload}/try',
        operationId: 'tryMyUpload',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: MyHandInRequest::class)),
        responses: [new OA\Response(
            response: 202,
            description: 'It will be checked',
            content: new OA\JsonContent(ref: Made::class),
        )],
    )]
    public function store(MyHandInRequest $request, string $token, string $upload): JsonResponse
    {
        $student = MyPageController::student($token);
        $upload = MyUploadController::upload($student, $upload);
        $work = MyPageController::work($student, $upload->assignment_id);
        if (HandingIn::of($work, $student)->sees() === StudentsSee::Nothing || $work->brief === null) {
            throw ValidationException::withMessages(['upload' => 'A site cannot be tried here. You can hand it in.']);
        }
        abort_unless($upload->isWhole(), 422, 'Not all of the file has arrived. Send the rest.');
        $try = DB::transaction(function () use ($request, $student, $upload): SiteTry {
            Student::query()->whereKey($student->id)->lockForUpdate()->firstOrFail();
            SiteTry::query()->where('student_id', $student->id)->first()?->delete();
            $try = SiteTry::query()->create([
                'student_id' => $student->id,
                'assignment_id' => $upload->assignment_id,
                'name' => $upload->name,
                'packed' => $request->boolean('packed'),
                'address' => MyUploadController::published($request),
                'state' => TryState::Waiting,
                'seen_at' => now(),
            ]);
            self::keep($upload, $try);
            $upload->delete();
            TrySite::dispatch($try->id);

            return $try;
        });

        return response()->json(new Made($try->id), 202);
    }

    /** How far it is. Whoever stops asking has gone, and their try ends. */
    #[OA\Get(
        path: '/api/my/{token}/tries/{try}',
        operationId: 'myTry',
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(ref: MyTry::class))],
    )]
    public function show(string $token, string $try): JsonResponse
    {
        $try = self::ofStudent($token, $try);
        abort_unless($try instanceof SiteTry, 404, 'There is no such try any more. Begin it again.');
        $try->update(['seen_at' => now()]);

        return response()->json(MyTry::of($try));
    }

    /** Ends a try, and forgets what came of it. */
    #[OA\Delete(
        path: '/api/my/{token}/tries/{try}',
        operationId: 'endMyTry',
        responses: [new OA\Response(response: 204, description: 'Ended')],
    )]
    public function destroy(string $token, string $try): Response
    {
        self::ofStudent($token, $try)?->delete();

        return response()->noContent();
    }

    private static function ofStudent(string $token, string $id): ?SiteTry
    {
        return SiteTry::query()->where('student_id', MyPageController::student($token)->id)->find($id);
    }

    /** @throws StoreFailure when the disk does not take the bytes */
    private static function keep(Upload $upload, SiteTry $try): void
    {
        $path = Upload::path($upload->id);
        $stream = is_file($path) ? fopen($path, 'rb') : false;
        if ($stream === false) {
            throw new StoreFailure('The server has lost a part of the file. Send it again.');
        }
        try {
            SharedDisk::get()->put($try->path(), $stream);
        } catch (\Throwable $error) {
            throw new StoreFailure('The server could not keep the file; its disk may be full.', previous: $error);
        } finally {
            fclose($stream);
        }
    }
}
