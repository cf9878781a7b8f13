<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Description\Status;
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
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A student's site that is tried before it is handed in. A worker checks it, and the site is kept nowhere. */
final class MyTryController extends Controller
{
    /** Begins a try. An older one of the same student ends. */
    #[Status(202)]
    public function store(MyHandInRequest $request, string $token, string $upload): Made
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

        return new Made($try->id);
    }

    /** How far it is. Whoever stops asking has gone, and their try ends. */
    public function show(string $token, string $try): MyTry
    {
        $try = self::ofStudent($token, $try);
        abort_unless($try instanceof SiteTry, 404, 'There is no such try any more. Begin it again.');
        $try->update(['seen_at' => now()]);

        return MyTry::of($try);
    }

    /** Ends a try, and forgets what came of it. */
    public function destroy(string $token, string $try): void
    {
        self::ofStudent($token, $try)?->delete();
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
