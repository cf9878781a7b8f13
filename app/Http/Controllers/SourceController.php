<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\SourceText;
use App\Intake\BlobStore;
use App\Models\HandIn;
use App\Models\HandInFile;
use Illuminate\Http\JsonResponse;
use InkedMargin\Core\Markup\Encoding;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Utf8;
use OpenApi\Attributes as OA;

final class SourceController extends Controller
{
    private const MOST_BYTES = 2_000_000;

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
        $file = new SourceFile($path, $blobs->get($kept->sha256));
        $encoding = Encoding::of($file->bytes);
        $text = $file->kind() === FileKind::Page ? $encoding->decode($file->bytes) : Utf8::scrub($file->bytes);
        $readable = $file->kind() !== FileKind::Picture
            && ! str_contains($text, "\0")
            && strlen($file->bytes) <= self::MOST_BYTES;

        return response()->json(new SourceText(
            $path,
            $file->kind()->value,
            $readable,
            $readable ? $text : '',
            match (true) {
                strlen($file->bytes) > self::MOST_BYTES => 'The file is too large to be shown as text.',
                ! $readable => 'This is no text.',
                ! $encoding->isUtf8()
                    && $file->kind() === FileKind::Page => "The file is {$encoding->name} and not UTF-8.",
                $file->firstInvalidByte() !== null => 'The file is not UTF-8: what could not be read is shown as �.',
                default => null,
            },
        ));
    }
}
