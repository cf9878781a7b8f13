<?php

declare(strict_types=1);

namespace App\Replies;

use App\Feedback\Place;
use App\Feedback\QuotedLine;
use App\Feedback\QuoteReader;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Models\Remark;
use App\Storage\BlobStore;

/** The lines of a hand-in that remarks are about. */
final readonly class HandInQuotes
{
    private QuoteReader $quotes;

    public function __construct(private HandIn $handIn)
    {
        $this->quotes = new QuoteReader(app(BlobStore::class));
    }

    /** @return list<QuotedLine> none for a remark that has no place in the text of a file */
    public function of(Remark $remark): array
    {
        if ($remark->line === null || ! $remark->placed) {
            return [];
        }
        /** @var HandInFile|null $file */
        $file = $this->handIn->files->firstWhere('path', $remark->file);
        $place = new Place($remark->line, $remark->end_line ?? $remark->line, $remark->column, $remark->end_column);

        return $file === null ? [] : $this->quotes->of($file->path, $file->sha256)?->of($place, 0) ?? [];
    }
}
