<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\SourceFile;

/** A site read for a check: every page parsed once, every address resolved once. Rules read this, never files. */
final readonly class SiteReading
{
    /** @param  array<string, Page>  $pages by path, the home page first, then by path */
    private function __construct(public Site $site, public array $pages)
    {
    }

    /** @param  \Closure(int, int): void|null  $progress told how many pages of how many are read */
    public static function of(Site $site, ?\Closure $progress = null): self
    {
        $reader = new PageReader($site);
        $files = array_filter($site->ofKind(FileKind::Page), fn (SourceFile $file) => ! Litter::is($file->path));
        usort($files, fn (SourceFile $a, SourceFile $b) => [$a->path !== 'index.html', $a->path] <=> [$b->path !== 'index.html', $b->path]);
        $pages = [];
        foreach ($files as $file) {
            $pages[$file->path] = $reader->read($file);
            if ($progress !== null) {
                $progress(count($pages), count($files));
            }
        }

        return new self($site, $pages);
    }
}
