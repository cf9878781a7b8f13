<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Description\Sends;
use App\Description\Status;
use App\Feedback\StockFile;
use App\Http\Shared\Controller;
use App\Models\Course;
use App\Models\StockRemark;
use App\Models\User;
use App\Storage\Download;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** Notes kept for use again: one's own, and those that all who mark a course share. */
final class StockRemarkController extends Controller
{
    /** @return list<StockRemarkView> */
    public function index(Request $request, Course $course): array
    {
        $remarks = self::atHand($course, self::user($request));
        $uses = [];
        foreach (DB::table('stock_remark_uses')->whereIn('stock_remark_id', $remarks->modelKeys())->get() as $row) {
            $uses[(string) $row->stock_remark_id][(string) $row->rule] = (int) $row->uses;
        }
        $views = $remarks->toBase()->map(fn (StockRemark $one) => StockRemarkView::of($one, $uses[$one->id] ?? []));

        return array_values($views->sortByDesc('uses')->all());
    }

    #[Status(201)]
    public function store(StockRemarkRequest $request, Course $course): StockRemarkView
    {
        $user = self::user($request);
        $known = self::atHand($course, $user)->firstWhere('body', $request->string('body')->toString());
        $remark = $known ?? StockRemark::query()->create($request->remark($course, $user));

        return StockRemarkView::of($remark);
    }

    public function update(StockRemarkRequest $request, Course $course, StockRemark $stockRemark): void
    {
        self::guard($stockRemark, $course, self::user($request));
        $stockRemark->update($request->remark($course, self::user($request)));
    }

    /** Notes that were made from it stay as they are. */
    public function destroy(Request $request, Course $course, StockRemark $stockRemark): void
    {
        self::guard($stockRemark, $course, self::user($request));
        $stockRemark->delete();
    }

    /** It was used in a note. */
    public function use(StockUseRequest $request, Course $course, StockRemark $stockRemark): void
    {
        self::guard($stockRemark, $course, self::user($request));
        $stockRemark->countUse($request->string('rule')->toString());
    }

    /** Those of a file that are not there yet. */
    public function take(StockFileRequest $request, Course $course): StockTaken
    {
        $user = self::user($request);
        $read = $request->remarks();
        $owner = StockRemark::owner($request->boolean('shared'), $course, $user);
        $added = DB::transaction(function () use ($course, $user, $read, $owner): int {
            $known = self::atHand($course, $user)->pluck('body', 'body')->all();
            $added = 0;
            foreach ($read as $one) {
                if (! isset($known[$one['body']])) {
                    StockRemark::query()->create($one + $owner);
                    $known[$one['body']] = $one['body'];
                    $added++;
                }
            }

            return $added;
        });

        return new StockTaken($added, count($read) - $added);
    }

    #[Sends('text/csv')]
    public function file(Request $request, Course $course, string $form): Response
    {
        $remarks = self::atHand($course, self::user($request));

        return $form === 'csv'
            ? Download::of(StockFile::csv($remarks), 'text/csv; charset=utf-8', 'stock-remarks.csv')
            : Download::of(StockFile::yaml($remarks), 'application/yaml; charset=utf-8', 'stock-remarks.yaml');
    }

    /** @return Collection<int, StockRemark> */
    private static function atHand(Course $course, User $user): Collection
    {
        return StockRemark::query()->atHand($course, $user)->orderBy('body')->get();
    }

    private static function guard(StockRemark $remark, Course $course, User $user): void
    {
        abort_unless($remark->course_id === $course->id || $remark->user_id === $user->id, 404);
    }
}
