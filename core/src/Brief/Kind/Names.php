<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\NamePattern;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/** How the archive, the folder in it and the files are named. */
final readonly class Names extends Requirement implements NamesThings
{
    private const MAX_SHOWN = 100;

    public function __construct(
        Terms $terms,
        public ?NamePattern $archive,
        public ?NamePattern $folder,
        public ?NamePattern $files,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'names';
    }

    public static function about(): string
    {
        return 'How the archive, the folder in it, and the files are named.';
    }

    public static function fields(): array
    {
        return [
            Field::namePattern('archive', 'the archive'),
            Field::namePattern('folder', 'the folder around the site, or several with `/` between them'),
            Field::namePattern('files', 'every file'),
        ];
    }

    public static function variants(): array
    {
        return [
            'archive' => 'file/archive-name',
            'folder' => 'file/folder-shape',
            'file' => 'file/name',
        ];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $pattern = fn (string $field) => $fields->has($field) ? new NamePattern(
            trim($fields->text($field), '/'),
        ) : null;
        $names = new self($terms, $pattern('archive'), $pattern('folder'), $pattern('files'));
        if ($names->archive === null && $names->folder === null && $names->files === null) {
            $fields->problem('archive', 'a pattern is needed for the archive, the folder or the files');
        }

        return $names;
    }

    public function sentence(): string
    {
        return $this->inWords(null);
    }

    /** @param  string|null  $handle  null when no student in particular is meant */
    private function inWords(?string $handle): string
    {
        $name = fn (NamePattern $pattern) => '`'.$pattern->for($handle ?? NamePattern::STAND_IN).'`';
        $wishes = array_filter([
            $this->archive === null ? null : "the archive is named {$name($this->archive)}",
            $this->folder === null ? null : "the folder around the site is named {$name($this->folder)}",
            $this->files === null ? null : "every file is named {$name($this->files)}",
        ]);

        $sentence = ucfirst(English::list(array_values($wishes)));

        return str_contains($sentence, NamePattern::STAND_IN)
            ? "$sentence, where `".NamePattern::STAND_IN.'` is the student’s handle.'
            : "$sentence.";
    }

    public function named(string $what): array
    {
        return $what === 'path' && $this->folder !== null ? explode('/', $this->folder->written) : [];
    }

    public function isAboutPages(): bool
    {
        return false;
    }

    public function readsFiles(): bool
    {
        return false;
    }

    public function assess(ParsedSite $site): Assessment
    {
        $files = $site->files;
        $isArchive = $this->archive !== null && $files->packing->archive !== null;
        // A model answer, or a folder of which nobody says whose it is, was not sent by a student.
        $isFolder = $this->folder !== null && self::wasSent($files->packing);
        $items = ($isArchive ? 1 : 0) + ($isFolder ? 1 : 0) + ($this->files === null ? 0 : 1);
        $shortfalls = array_values(array_filter([
            $isArchive ? $this->archiveName($files) : null,
            $isFolder ? $this->folderName($files) : null,
            ...$this->fileNames($files),
        ]));
        $wrong = Assessment::itemsIn($shortfalls);
        $expected = lcfirst(rtrim($this->inWords($files->packing->handle ?? 'your-name'), '.'));

        if ($items === 0) {
            return Assessment::notJudged('not sent as an archive', $expected);
        }

        return Assessment::of(
            $items,
            $shortfalls,
            ($items - $wrong)." of $items",
            $expected,
        );
    }

    private static function wasSent(Packing $packing): bool
    {
        return $packing->archive !== null || $packing->folders !== [] || $packing->handle !== null;
    }

    private function archiveName(Site $files): ?Shortfall
    {
        $archive = (string) $files->packing->archive;
        if ($this->archive === null || $this->archive->matches($archive, $files->packing->handle)) {
            return null;
        }
        $wanted = $this->archive->for($files->packing->handle);

        return self::aboutSite(
            'archive',
            ProofMark::Change,
            $files,
            "The archive is named `$archive`; the brief asks for `$wanted`.",
            "Rename it to `$wanted`.",
        );
    }

    private function folderName(Site $files): ?Shortfall
    {
        $folders = $files->packing->folders;
        $around = implode('/', $folders);
        if ($this->folder === null || $this->folder->matches($around, $files->packing->handle)) {
            return null;
        }
        $wanted = $this->folder->for($files->packing->handle);
        $isSameDepth = count($folders) === count(explode('/', $wanted));
        $words = self::folderWords($folders, $wanted);

        return self::aboutSite('folder', ProofMark::Move, $files, $words->message, $words->remedy);
    }

    /**
     * @param  list<string>  $folders the folders around the site, from the outermost
     */
    private static function folderWords(array $folders, string $wanted): Words
    {
        $around = implode('/', $folders);
        $isSameDepth = count($folders) === count(explode('/', $wanted));

        return match (true) {
            $folders === [] => new Words(
                'Your files are not in a folder.',
                "Put them all into a folder named `$wanted`, and zip that folder.",
            ),
            $isSameDepth => new Words(
                "The folder is named `$around`; the brief asks for `$wanted`.",
                "Rename it to `$wanted`.",
            ),
            default => new Words(
                "Your site is inside the folders `$around`; the brief asks for `$wanted`.",
                "Put the site into `$wanted`, and zip that.",
            ),
        };
    }

    private static function aboutSite(
        string $variant,
        ProofMark $mark,
        Site $files,
        string $message,
        string $remedy,
    ): Shortfall {
        return Shortfall::of(
            Draft::in(Site::HOME, $files->home(), Span::at(0), $variant)
                ->variant($variant)
                ->mark($mark)
                ->says($message)
                ->remedy($remedy),
        )->item($variant);
    }

    /** @return list<Shortfall> */
    private function fileNames(Site $files): array
    {
        $pattern = $this->files;
        if ($pattern === null) {
            return [];
        }
        $handle = $files->packing->handle;
        $wrong = array_values(
            array_filter($files->ownPaths(), fn (string $path) => ! $pattern->matches(basename($path), $handle)),
        );
        $shown = array_slice($wrong, 0, self::MAX_SHOWN);

        return array_map(
            fn (string $path) => self::wrongName($path, $files, $pattern->for($handle))->costing(1 / count($shown)),
            $shown,
        );
    }

    private static function wrongName(string $path, Site $files, string $wanted): Shortfall
    {
        return Shortfall::of(
            Draft::in($path, $files->file($path), Span::at(0), 'brief')
                ->variant('file')
                ->mark(ProofMark::Change)
                ->says("The brief asks for files named `$wanted`; this one is `".basename($path).'`.')
                ->remedy('Rename it, and change the links that lead to it.')
                ->about(Subject::file($path)),
        )->item('files');
    }
}
