<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Bounds;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Glob;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\FileType;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** Files that must be there, by name, or a number of files that match. */
final readonly class Files extends Requirement implements NamesThings, SpeaksForItself
{
    private const MAX_LINKS = 12;

    private const MAX_SHOWN = 100;

    /** @param  list<string>  $names  paths from the site's root, or globs */
    public function __construct(
        Terms $terms,
        public array $names,
        public Bounds $bounds,
        public bool $mayBeOthers = true,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'files';
    }

    public static function about(): string
    {
        return 'Files that must be there, by name; or how many files match a pattern.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/files',
            'Wrong number of files',
            Weight::Departure,
            ProofMark::Change,
            'There are more or fewer files than the brief asks for.',
            'The brief says how many files of a kind the site has. With fewer, something is missing '
                .'for its readers.',
            Citation::brief(),
            ['file/wrong-type'],
        );
    }

    public static function fields(): array
    {
        return [
            Field::texts('names', 'paths from the root of the site, or globs (`*`, `**`, `?`)', true),
            Field::wholeNumber('at_least', 'so many files match any of the names, or more'),
            Field::wholeNumber('at_most', 'so many match, or fewer'),
            Field::flag('others', 'whether other files may be there; yes when it is left out'),
        ];
    }

    public static function variants(): array
    {
        return [
            'missing' => 'file/missing',
            'unexpected' => 'file/unexpected',
            'too-few' => 'brief/files',
            'too-many' => 'brief/files',
        ];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $bounds = new Bounds(null, $fields->wholeNumber('at_least'), $fields->wholeNumber('at_most'));

        return new self($terms, $fields->texts('names'), $bounds, $fields->flag('others', true));
    }

    public function sentence(): string
    {
        $names = English::names($this->names);
        $files = $this->bounds->isOpen()
            ? 'The site has '.(count($this->names) === 1 ? "the file $names" : "the files $names")
            : "The site has {$this->bounds->sentence()} of the files $names";

        return $files.($this->mayBeOthers ? '.' : ', and no other files.');
    }

    public function named(string $what): array
    {
        return $what === 'path'
            ? array_merge(...array_map(fn (string $name) => explode('/', $name), $this->names))
            : [];
    }

    public function isAboutPages(): bool
    {
        return false;
    }

    public function readsFiles(): bool
    {
        return false;
    }

    public function pagesNeeded(Materials $materials): array
    {
        return $this->bounds->isOpen() ? $this->names : [];
    }

    /** How many pages there have to be at least, where not all of them have names; 0 where it says nothing of pages. */
    public function pagesAtLeast(): int
    {
        $isOfPages = array_filter(
            $this->names,
            fn (string $name) => FileKind::ofPath($name) !== FileKind::Page,
        ) === [];

        return $isOfPages ? $this->bounds->least() : 0;
    }

    public function assess(ParsedSite $site): Assessment
    {
        $files = $site->files;
        $others = $this->mayBeOthers ? [] : $this->unexpected($files);
        $items = ($this->bounds->isOpen() ? count($this->names) : 1) + ($this->mayBeOthers ? 0 : 1);
        if (! $this->bounds->isOpen()) {
            return $this->assessNumber($items, $others, $site);
        }
        $missing = $this->missing($files);
        $measured = count($this->names) - count($missing).' of '.English::count(count($this->names), 'file');
        if ($others !== []) {
            $measured .= ', and '.English::count(count($others), 'other file');
        }
        $shortfalls = array_map(fn (string $name) => $this->missingFile($name, $site), $missing);

        return Assessment::of($items, [...$shortfalls, ...$others], $measured, $this->expectation());
    }

    /** @param  list<Shortfall>  $others */
    private function assessNumber(int $items, array $others, ParsedSite $site): Assessment
    {
        $count = $this->counted($site->files);
        $wrong = $this->bounds->allow($count) ? [] : [$this->wrongNumber($count, $site)];
        $expected = $this->bounds->sentence().' of '.English::names($this->names);

        return Assessment::of($items, [...$wrong, ...$others], English::count($count, 'file'), $expected);
    }

    /** @return list<string> the names that no file of the site has */
    public function missing(Site $files): array
    {
        return $this->bounds->isOpen()
            ? array_values(array_filter($this->names, fn (string $name) => $this->matching($files, $name) === []))
            : [];
    }

    /** Whether a path is one of the names or matches one. */
    public function names(string $path): bool
    {
        foreach ($this->names as $name) {
            if (Glob::matches($name, $path)) {
                return true;
            }
        }

        return false;
    }

    private function counted(Site $files): int
    {
        return count(array_filter(
            $files->paths(),
            fn (string $path) => $this->names($path) && self::isWhatItSays($files->file($path)),
        ));
    }

    /** @return list<string> */
    private function matching(Site $files, string $name): array
    {
        if ($files->file($name) !== null || ! Glob::isPattern($name)) {
            return self::isWhatItSays($files->file($name)) ? [$name] : [];
        }

        return array_values(array_filter(
            $files->paths(),
            fn (string $path) => Glob::matches($name, $path) && self::isWhatItSays($files->file($path)),
        ));
    }

    /**
     * Whether a file is there, and is of the kind that its extension says. A picture of another format is still one,
     * and what a page is, its own rules say.
     */
    private static function isWhatItSays(?SourceFile $file): bool
    {
        if ($file === null || $file->bytes === '' || $file->kind() === FileKind::Page) {
            return $file !== null;
        }
        $type = FileType::of($file->bytes);

        return $type->suits($file->extension()) || ($file->kind() === FileKind::Picture && $type->isPicture());
    }

    private function missingFile(string $name, ParsedSite $site): Shortfall
    {
        $isGlob = Glob::isPattern($name);
        if (! $isGlob && $site->files->file($name) !== null) {
            return $this->wrongType($name);
        }
        $near = $this->misnamed($name, $site->files);

        return Shortfall::of(
            Draft::in($name, null, Span::at(0), '')
                ->variant('missing')
                ->mark(ProofMark::Insert)
                ->says($isGlob
                    ? "There is no file that matches `$name`; the brief asks for one."
                    : "The brief asks for the file `$name`, and it is missing.")
                ->remedy(match (true) {
                    $near !== null => "If `$near` is meant to be this file, rename it to `$name`. "
                        ."Otherwise add `$name`.",
                    $isGlob => 'Add the file.',
                    default => "Add `$name`, spelled exactly like that.",
                })
                ->related(...Related::links($site->referencesTo($name), "this link leads to `$name`", self::MAX_LINKS))
                ->about(Subject::file($name), Subject::page($name))
                ->causedBy(...($near === null ? [] : [Subject::file($near)])),
        )->item($name)->asMissingPage(in_array($name, $site->missingPages(), true));
    }

    /** The file has this name and other content; `file/wrong-type` reports it. */
    private function wrongType(string $name): Shortfall
    {
        return Shortfall::of(
            Draft::in($name, null, Span::at(0), '')
                ->variant('missing')
                ->mark(ProofMark::Change)
                ->says("`$name` is not what its extension says, so it does not count as this file.")
                ->remedy("Save it anew as what `$name` should be.")
                ->about(Subject::file($name)),
        )->item($name);
    }

    /** The file that is meant to have a name, and has another; null for a pattern, or where there is none. */
    private function misnamed(string $name, Site $files): ?string
    {
        return Glob::isPattern($name) ? null : $this->nearest($name, $files);
    }

    /** The file of another name that is meant to be the one of this name */
    private function nearest(string $name, Site $files): ?string
    {
        $unasked = array_filter($files->ownPaths(), fn (string $path) => ! $this->names($path));

        return $files->spelling($name) ?? self::withSecondExtension($name, $files) ?? NearestName::of($name, $unasked);
    }

    /** `index.html.txt` for `index.html`. */
    private static function withSecondExtension(string $name, Site $files): ?string
    {
        foreach ($files->ownPaths() as $path) {
            if (str_starts_with(strtolower($path), strtolower("$name."))) {
                return $path;
            }
        }

        return null;
    }

    /** @return list<string> subjects: files with these names and other content */
    private function ofWrongType(Site $files): array
    {
        $isWrong = fn (string $path) => $this->names($path) && ! self::isWhatItSays($files->file($path));

        return array_map(Subject::file(...), array_values(array_filter($files->paths(), $isWrong)));
    }

    private function wrongNumber(int $count, ParsedSite $site): Shortfall
    {
        $isShort = $this->bounds->isShort($count);
        $difference = $this->bounds->distance($count);
        $names = English::names($this->names, 'or');

        return Shortfall::of(
            Draft::in(Site::HOME, $site->files->home(), Span::at(0), "files:{$this->terms->id}")
                ->variant($isShort ? 'too-few' : 'too-many')
                ->mark($isShort ? ProofMark::Insert : ProofMark::TakeOut)
                ->says('There '.($count === 1 ? 'is 1 file' : "are $count files")
                    ." named $names; the brief asks for {$this->bounds->sentence()}.")
                ->remedy($isShort ? "Add $difference more." : "Remove $difference.")
                ->about(...($isShort && $this->pagesAtLeast() > 0 ? [Subject::pages()] : []))
                ->causedBy(...($isShort ? $this->ofWrongType($site->files) : [])),
        )->item('number');
    }

    /** @return list<Shortfall> */
    private function unexpected(Site $files): array
    {
        // A wanted file with a wrong name is reported once, as the missing file.
        $misnamed = array_map(fn (string $name) => $this->misnamed($name, $files), $this->missing($files));
        $isOther = fn (string $path) => ! $this->names($path) && ! in_array($path, $misnamed, true);
        $paths = array_values(array_filter($files->ownPaths(), $isOther));
        $shown = array_slice($paths, 0, self::MAX_SHOWN);

        return array_map(fn (string $path) => Shortfall::of(
            Draft::in($path, $files->file($path), Span::at(0), '')
                ->variant('unexpected')
                ->mark(ProofMark::TakeOut)
                ->says("`$path` is not one of the files that the brief asks for, and it allows no others.")
                ->remedy('Remove the file from your hand-in.')
                ->about(Subject::file($path)),
        )->item('others')->costing(1 / count($shown)), $shown);
    }
}
