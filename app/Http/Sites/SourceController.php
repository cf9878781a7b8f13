<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Feedback\SourceText;
use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Storage\BlobStore;
use InkedMargin\Core\Source\SourceFile;

final class SourceController extends Controller
{
    public function show(HandIn $handIn, string $path, BlobStore $blobs): SourceText
    {
        /** @var HandInFile $kept */
        $kept = $handIn->files()->where('path', $path)->firstOrFail();

        return SourceText::of(new SourceFile($path, $blobs->get($kept->sha256)));
    }
}
