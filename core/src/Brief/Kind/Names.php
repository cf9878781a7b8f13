<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\NamePattern;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Site\SiteReading;

/** How the archive, the folder in it and the files are named. */
final readonly class Names extends Requirement
{
    public function __construct(Terms $terms, public ?NamePattern $archive, public ?NamePattern $folder, public ?NamePattern $files)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'names';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $pattern = fn (string $field) => $fields->has($field) ? new NamePattern($fields->requiredText($field)) : null;
        $names = new self($terms, $pattern('archive'), $pattern('folder'), $pattern('files'));
        if ($names->archive === null && $names->folder === null && $names->files === null) {
            $fields->problem('archive', 'a pattern is needed for the archive, the folder or the files');
        }

        return $names;
    }

    public function sentence(): string
    {
        $wishes = array_filter([
            $this->archive === null ? null : "the archive is called {$this->archive->written}",
            $this->folder === null ? null : "the folder in it {$this->folder->written}",
            $this->files === null ? null : "the files {$this->files->written}",
        ]);

        return ucfirst(implode(', ', $wishes)).'.';
    }

    public function judge(SiteReading $reading): Judgement
    {
        $site = $reading->site;
        $checks = array_filter([
            $this->archive === null ? null : $this->archiveFits($site),
            $this->folder === null ? null : $this->folderFits($site),
            $this->files === null ? null : $this->misnamed($site) === [],
        ], fn (?bool $fits) => $fits !== null);

        return Judgement::share(count(array_filter($checks)), count($checks), count(array_filter($checks)).' of '.count($checks), rtrim($this->sentence(), '.'));
    }

    /** Null when the site did not come as an archive, or nothing is asked of its name. */
    public function archiveFits(Site $site): ?bool
    {
        return $site->packing->archive === null ? null : $this->archive?->matches($site->packing->archive, $site->packing->handle);
    }

    /** Null when nothing is asked of the folder. */
    public function folderFits(Site $site): ?bool
    {
        $folders = $site->packing->folders;

        return $this->folder === null ? null : count($folders) === 1 && $this->folder->matches($folders[0], $site->packing->handle);
    }

    /** @return list<string> paths of files whose names are not as asked */
    public function misnamed(Site $site): array
    {
        $pattern = $this->files;

        return $pattern === null ? [] : array_values(array_filter(
            array_map(strval(...), array_keys($site->ownFiles())),
            fn (string $path) => ! $pattern->matches(basename($path), $site->packing->handle),
        ));
    }
}
