<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Http\Shared\Controller;
use App\Models\Course;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class SpaceController extends Controller
{
    #[OA\Get(
        path: '/api/courses/{course}/space',
        operationId: 'space',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: SpaceView::class),
        )],
    )]
    public function show(Course $course): JsonResponse
    {
        return response()->json(SpaceView::of($course->id));
    }
}
