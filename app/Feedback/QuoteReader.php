<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\Finding;
use App\Storage\BlobStore;
use InkedMargin\Core\Source\SourceFile;

/** Quotes kept files. Each is read once, however many places of it are quoted. */
final class QuoteReader
{
    /** @var array<string, Quote|null> by path and hash */
    private array $read = [];

    public function __construct(private readonly BlobStore $blobs)
    {
    }

    /** @return Quote|null null where the file cannot be read as text */
    public function of(string $path, string $sha256): ?Quote
    {
        $key = "$sha256 $path";
        if (! array_key_exists($key, $this->read)) {
            $this->read[$key] = Quote::from(new SourceFile($path, $this->blobs->get($sha256)));
        }

        return $this->read[$key];
    }

    /**
     * @param  Finding  $finding  as `Found::withFiles` gives it
     * @param  int  $around  lines before and after
     * @return list<QuotedLine> none where the whole file is meant, or it is no text
     */
    public function at(Finding $finding, int $around): array
    {
        $sha256 = NewestFindings::sha256Of($finding);

        return $sha256 === null ? [] : $this->of($finding->file, $sha256)?->of(Place::of($finding), $around) ?? [];
    }
}
