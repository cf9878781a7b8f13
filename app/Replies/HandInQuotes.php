<?php

declare(strict_types=1);

namespace App\Replies;

use App\Intake\BlobStore;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Models\Remark;
use App\Quotes\Place;
use App\Quotes\Quote;
use App\Quotes\QuotedLine;
use InkedMargin\Core\Source\SourceFile;

/** The lines of a hand-in that remarks are about. Each file is read once. */
final class HandInQuotes
{
    /** @var array<string, Quote|null> by path */
    private array $files = [];

    public function __construct(private readonly HandIn $handIn)
    {
    }

    /** @return list<QuotedLine> none for a remark that has no place in the text of a file */
    public function of(Remark $remark): array
    {
        if ($remark->file === null || $remark->line === null || ! $remark->placed) {
            return [];
        }
        if (! array_key_exists($remark->file, $this->files)) {
            $this->files[$remark->file] = $this->read($remark->file);
        }
        $place = new Place($remark->line, $remark->end_line ?? $remark->line, $remark->column, $remark->end_column);

        return $this->files[$remark->file]?->of($place, 0) ?? [];
    }

    private function read(string $path): ?Quote
    {
        /** @var HandInFile|null $file */
        $file = $this->handIn->files->firstWhere('path', $path);

        return $file === null ? null : Quote::from(new SourceFile($path, app(BlobStore::class)->get($file->sha256)));
    }
}
