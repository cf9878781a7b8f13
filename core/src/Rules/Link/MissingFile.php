<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\Resolution;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\TextGroups;

/**
 * An address that resolves inside the site (URL Standard, 4.4) to a file that does not exist. What several pages link
 * to is reported once, at the file that is missing.
 */
final readonly class MissingFile extends ReferenceRule
{
    private const MAX_RELATED = 12;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/missing-file',
            'Link to missing file',
            Weight::Fault,
            ProofMark::Change,
            'An address leads to a file that is not in the site.',
            'Visitors who follow the link get an error page. A picture or stylesheet with such an '
                .'address does not load at all.',
            Citation::rfc(3986, '5.2', 'Relative Resolution'),
            ['file/missing', 'file/no-home', 'file/name', 'file/double-extension'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        /** @var TextGroups<Reference> $byPath */
        $byPath = new TextGroups;
        foreach ($exam->site->resolvedAs(Resolution::MissingFile) as $reference) {
            $byPath->add((string) $reference->target->path, $reference);
        }
        foreach (self::missingFolders($byPath, $exam) as $folder => $references) {
            yield $this->folder((string) $folder, $references);
            foreach ($references as $reference) {
                $byPath->remove((string) $reference->target->path);
            }
        }
        foreach ($byPath as $references) {
            yield self::isFile($references, $exam) ? $this->file($references) : $this->link($references, $exam);
        }
    }

    /**
     * @param  non-empty-list<Reference>  $references
     * @return bool whether the file is missing, and not one link wrong
     */
    private static function isFile(array $references, Examination $exam): bool
    {
        $files = array_unique(array_map(fn (Reference $one) => $one->from->path, $references));

        $expected = array_unique(array_map(
            fn (Reference $one) => (string) $exam->expectations()->target($one),
            $references,
        ));
        // Links that should lead to different pages, and all lead to this one, are right: the page is missing.
        $isMeant = $expected === [''] || count($expected) > 1;

        return count($files) > 1 && $references[0]->target->candidates === [] && $isMeant;
    }

    protected function resolution(): Resolution
    {
        return Resolution::MissingFile;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        return $this->link([$reference], $exam);
    }

    /** @param  non-empty-list<Reference>  $references  to one file, told at the first */
    private function link(array $references, Examination $exam): Draft
    {
        $reference = $references[0];
        $target = $reference->target;
        $expected = $exam->expectations()->target($reference);
        $offer = self::offer($reference);
        $to = $expected ?? $target->candidates[0] ?? null;

        return Draft::atAddress($reference)
            ->variant('link')
            ->says($reference->written === $target->path
                ? "There is no file `{$target->path}`."
                : "`{$reference->written}` leads to `{$target->path}`, which does not exist.")
            ->remedy(match (true) {
                $expected !== null => "By the order of the pages it should lead to `$expected`: type ".self::written(
                    $reference,
                    $reference->relativeUrlTo($expected),
                ).'.',
                $offer === null
                    && $reference->kind === ReferenceKind::Link => "Add the file `{$target->path}`, or link to a page "
                        .'that exists.',
                $offer === null => "Add the file `{$target->path}`, or type the path of a file that exists.",
                default => "If you mean $offer, type that. Otherwise add the file `{$target->path}`.",
            })
            ->related(...self::others($references))
            ->mend(self::changeTo($reference, $to))
            ->about(Subject::file((string) $target->path), ...self::places($references))
            ->causedBy(Subject::file((string) $target->path), ...array_map(Subject::file(...), $target->candidates));
    }

    /**
     * Folders that do not exist, and that links to two files or more lead into: they were left out of the hand-in.
     *
     * @param  TextGroups<Reference>  $byPath
     * @return array<string, non-empty-list<Reference>>
     */
    private static function missingFolders(TextGroups $byPath, Examination $exam): array
    {
        $folders = [];
        foreach ($byPath as $references) {
            $path = (string) $references[0]->target->path;
            $slash = strrpos($path, '/');
            $folder = $slash === false ? '' : substr($path, 0, $slash);
            $isKnown = $references[0]->target->candidates !== [] || $exam->site->files->hasFolder($folder);
            if ($folder !== '' && ! $isKnown) {
                $folders[$folder][] = $references;
            }
        }

        return array_map(
            fn (array $lists) => array_merge(...$lists),
            array_filter($folders, fn (array $lists) => count($lists) > 1),
        );
    }

    /** @param  non-empty-list<Reference>  $references  into one folder */
    private function folder(string $folder, array $references): Draft
    {
        $paths = array_values(array_unique(array_map(fn (Reference $one) => (string) $one->target->path, $references)));

        return Draft::atAddress($references[0])
            ->variant('folder')
            ->says(
                "The folder `$folder` does not exist, but links to ".English::count(
                    count($paths),
                    'file',
                ).' lead into it.',
            )
            ->remedy("Hand in the folder `$folder` with its files, or change the links.")
            ->related(...self::others($references))
            ->about(...array_map(Subject::file(...), $paths), ...self::places($references))
            ->causedBy(...array_map(Subject::file(...), $paths));
    }

    /** @param  non-empty-list<Reference>  $references  to one file */
    private function file(array $references): Draft
    {
        $path = (string) $references[0]->target->path;

        return Draft::aboutFile($path, null)
            ->variant('file')
            ->mark(ProofMark::Insert)
            ->says(
                "`$path` does not exist, but ".English::count(count($references), 'link leads', 'links lead').' to it.',
            )
            ->remedy('Add the file, or change the links.')
            ->related(...self::others([$references[0], ...$references]))
            ->about(...self::places($references))
            ->causedBy(Subject::file($path));
    }

    /**
     * @param  non-empty-list<Reference>  $references
     * @return list<string>
     */
    private static function places(array $references): array
    {
        return array_map(fn (Reference $one) => Subject::place($one->from->path, $one->span->start), $references);
    }

    /**
     * @param  non-empty-list<Reference>  $references
     * @return list<Related> all but the first
     */
    private static function others(array $references): array
    {
        $others = array_slice($references, 1, self::MAX_RELATED);

        return array_map(
            fn (Reference $one) => new Related($one->from, $one->span, "this leads to `{$one->target->path}`"),
            $others,
        );
    }
}
