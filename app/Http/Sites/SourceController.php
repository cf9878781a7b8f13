<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Feedback\SourceText;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Storage\BlobStore;
use Illuminate\Http\JsonResponse;
use InkedMargin\Core\Source\SourceFile;
use OpenApi\Attributes as OA;

final class SourceController extends Controller
{
    #[OA\Get(
        path: '/api/hand-ins/{handIn}/source/{path}',
        operationId: 'source',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: SourceText::class),
        )],
    )]
    public function show(HandIn $handIn, string $path, BlobStore $blobs): JsonResponse
    {
        /** @var HandInFile $kept */
        $kept = $handIn->files()->where('path', $path)->firstOrFail();

        return response()->json(SourceText::of(new SourceFile($path, $blobs->get($kept->sha256))));
    }
}
