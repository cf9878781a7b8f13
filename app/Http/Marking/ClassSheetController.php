<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Http\Shared\Controller;
use App\Marking\ClassSheet;
use App\Marking\ClassTable;
use App\Models\Assignment;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** The whole class on one sheet. */
final class ClassSheetController extends Controller
{
    #[OA\Get(
        path: '/api/assignments/{assignment}/class-sheet',
        operationId: 'classSheet',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: ClassSheet::class),
        )],
    )]
    public function show(Assignment $assignment): JsonResponse
    {
        return response()->json(ClassTable::of($assignment));
    }
}
