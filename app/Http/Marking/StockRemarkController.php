<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\StockFile;
use App\Http\Shared\Controller;
use App\Models\Course;
use App\Models\StockRemark;
use App\Models\User;
use App\Storage\Download;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** Notes kept for use again: one's own, and those that all who mark a course share. */
final class StockRemarkController extends Controller
{
    #[OA\Get(
        path: '/api/courses/{course}/stock-remarks',
        operationId: 'stockRemarks',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: StockRemarkView::class)),
        )],
    )]
    public function index(Request $request, Course $course): JsonResponse
    {
        $remarks = self::atHand($course, self::user($request));
        $uses = [];
        foreach (DB::table('stock_remark_uses')->whereIn('stock_remark_id', $remarks->modelKeys())->get() as $row) {
            $uses[(string) $row->stock_remark_id][(string) $row->rule] = (int) $row->uses;
        }
        $views = $remarks->toBase()->map(fn (StockRemark $one) => StockRemarkView::of($one, $uses[$one->id] ?? []));

        return response()->json($views->sortByDesc('uses')->values());
    }

    #[OA\Post(
        path: '/api/courses/{course}/stock-remarks',
        operationId: 'keepStockRemark',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: StockRemarkRequest::class)),
        responses: [new OA\Response(
            response: 201,
            description: 'Kept',
            content: new OA\JsonContent(ref: StockRemarkView::class),
        )],
    )]
    public function store(StockRemarkRequest $request, Course $course): JsonResponse
    {
        $user = self::user($request);
        $known = self::atHand($course, $user)->firstWhere('body', $request->string('body')->toString());
        $remark = $known ?? StockRemark::query()->create($request->remark($course, $user));

        return response()->json(StockRemarkView::of($remark), 201);
    }

    #[OA\Put(
        path: '/api/courses/{course}/stock-remarks/{stockRemark}',
        operationId: 'changeStockRemark',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: StockRemarkRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Kept')],
    )]
    public function update(StockRemarkRequest $request, Course $course, StockRemark $stockRemark): Response
    {
        self::guard($stockRemark, $course, self::user($request));
        $stockRemark->update($request->remark($course, self::user($request)));

        return response()->noContent();
    }

    /** Notes that were made from it stay as they are. */
    #[OA\Delete(
        path: '/api/courses/{course}/stock-remarks/{stockRemark}',
        operationId: 'dropStockRemark',
        responses: [new OA\Response(response: 204, description: 'Gone')],
    )]
    public function destroy(Request $request, Course $course, StockRemark $stockRemark): Response
    {
        self::guard($stockRemark, $course, self::user($request));
        $stockRemark->delete();

        return response()->noContent();
    }

    /** It was used in a note. */
    #[OA\Post(
        path: '/api/courses/{course}/stock-remarks/{stockRemark}/uses',
        operationId: 'useStockRemark',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: StockUseRequest::class)),
        responses: [new OA\Response(response: 204, description: 'Counted')],
    )]
    public function use(StockUseRequest $request, Course $course, StockRemark $stockRemark): Response
    {
        self::guard($stockRemark, $course, self::user($request));
        $stockRemark->countUse($request->string('rule')->toString());

        return response()->noContent();
    }

    /** Those of a file that are not there yet. */
    #[OA\Post(
        path: '/api/courses/{course}/stock-remarks/file',
        operationId: 'takeStockRemarks',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: StockFileRequest::class)),
        responses: [new OA\Response(
            response: 200,
            description: 'Kept',
            content: new OA\JsonContent(ref: StockTaken::class),
        )],
    )]
    public function take(StockFileRequest $request, Course $course): JsonResponse
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

        return response()->json(new StockTaken($added, count($read) - $added));
    }

    #[OA\Get(
        path: '/api/courses/{course}/stock-remarks.{form}',
        operationId: 'stockRemarksFile',
        responses: [new OA\Response(
            response: 200,
            description: 'CSV or YAML',
            content: new OA\MediaType(mediaType: 'text/csv'),
        )],
    )]
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
