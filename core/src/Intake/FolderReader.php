<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\SourceFile;

/** Reads a folder on this machine under the same limits as an archive; links are refused, not followed. */
final readonly class FolderReader
{
    public function __construct(private Limits $limits = new Limits, private RootHints $hints = new RootHints)
    {
    }

    /** @throws Refusal naming the file and the limit */
    public function read(string $folder): Site
    {
        $folder = rtrim($folder, '/');
        $files = [];
        $total = 0;
        foreach ($this->paths($folder) as $full) {
            $path = EntryName::clean(substr($full, strlen($folder) + 1), $this->limits);
            if (count($files) === $this->limits->files) {
                throw new Refusal(
                    RefusalReason::TooManyFiles,
                    "\"$folder\" has more than {$this->limits->files} files.",
                );
            }
            $size = (int) filesize($full);
            $total += $size;
            if ($size > $this->limits->fileBytes) {
                throw new Refusal(
                    RefusalReason::FileTooLarge,
                    "\"$path\" has ".English::bytes($size).'; '.English::bytes($this->limits->fileBytes)
                        .' is the most.',
                );
            }
            if ($total > $this->limits->totalBytes) {
                throw new Refusal(
                    RefusalReason::TotalTooLarge,
                    "\"$folder\" has more than ".English::bytes($this->limits->totalBytes).", at \"$path\".",
                );
            }
            $bytes = is_readable($full) ? file_get_contents($full) : false;
            if ($bytes === false) {
                throw new Refusal(RefusalReason::Unreadable, "\"$path\" cannot be read.");
            }
            $files[$path] = new SourceFile($path, $bytes);
        }
        if ($files === []) {
            throw new Refusal(RefusalReason::Empty, "\"$folder\" holds no files.");
        }

        return SiteRoot::find(basename((string) realpath($folder)), $files, null, $this->hints);
    }

    /** @return \Generator<int, string> */
    private function paths(string $folder): \Generator
    {
        if (! is_dir($folder) || ! is_readable($folder)) {
            throw new Refusal(RefusalReason::Unreadable, "\"$folder\" cannot be read.");
        }
        foreach (array_diff(scandir($folder) ?: [], ['.', '..']) as $entry) {
            $path = "$folder/$entry";
            if (is_link($path)) {
                throw new Refusal(RefusalReason::Link, "\"$path\" is a link to another place, not a file.");
            }
            if (is_dir($path)) {
                yield from $this->paths($path);
            } elseif (is_file($path)) {
                yield $path;
            }
        }
    }
}
