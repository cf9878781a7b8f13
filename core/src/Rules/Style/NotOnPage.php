<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Stylesheets;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\English;

/**
 * A stylesheet that the brief asks for, or that most pages link, and this page does not. A page with a sheet of its own
 * follows a plan. Common practice.
 */
final readonly class NotOnPage extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/not-on-page',
            'Stylesheet not linked',
            Weight::Departure,
            ProofMark::Insert,
            'A stylesheet that the other pages link is not linked on this page.',
            'This page loads without the look of the others, as if it came from another site.',
            Citation::html('Link type “stylesheet”', 'links.html#link-type-stylesheet'),
            [
                'link/missing-file', 'link/letter-case', 'link/wrong-folder', 'link/outside-site',
                'link/local-path', 'link/bad-address', 'link/empty', 'file/name', 'file/missing',
                'markup/bad-attribute-value', 'markup/missing-attribute', 'markup/unknown-attribute',
                'markup/unclosed-element', 'file/double-extension',
            ],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $usual = self::usualSheets($exam->site);
        foreach ($usual === [] ? [] : $exam->site->pages as $page) {
            if ($exam->brief->covering(
                $page->path(),
                Stylesheets::class,
            ) !== null || SpecialPage::is($page->path(), $exam->site)) {
                continue;
            }
            $linked = [];
            foreach ($page->stylesheets() as $reference) {
                $linked[] = $reference->target->found ?? $reference->target->address ?? '';
            }
            // Styles of its own, in place of the usual ones, are a plan.
            $isEmbedded = array_intersect($linked, array_keys($usual)) === [] && $page->named('style') !== [];
            if ($isEmbedded || array_diff($linked, array_keys($usual)) !== []) {
                continue;
            }
            $missing = array_filter(
                array_diff_key($usual, array_flip($linked)),
                fn (string $folder) => str_starts_with("/{$page->path()}", $folder),
            );
            if ($missing !== []) {
                yield $this->missing($page, array_map(strval(...), array_keys($missing)));
            }
        }
    }

    /** @param  non-empty-list<string>  $sheets  that the page does not link */
    private function missing(Page $page, array $sheets): Draft
    {
        $lines = array_map(fn (string $sheet) => Stylesheets::line($page, $sheet), $sheets);
        $causes = [];
        foreach ($page->stylesheets() as $reference) {
            $causes[] = Subject::place($page->path(), $reference->span->start);
        }
        foreach ($page->named('link') as $element) {
            $causes[] = Subject::element($page->path(), $element);
        }

        return Draft::onPage($page, $page->headPlace(), 'sheet:'.implode(' ', $sheets))
            ->says('This page does not link the '.(count($sheets) === 1 ? 'stylesheet ' : 'stylesheets ')
                .English::names($sheets)
                .', so it looks different from the other pages.')
            ->remedy('Type '.English::names($lines).' inside `<head>`.')
            ->mend(Stylesheets::mend($page, ...$lines))
            ->causedBy(...$causes);
    }

    /**
     * What more than half of the pages link, and two at least.
     *
     * @return array<string, string> the folder that each sheet and all its pages are in, such as `/` or `/lab1/`: a
     *     sheet of a folder
     *                               is for the pages of it
     */
    private static function usualSheets(ParsedSite $site): array
    {
        $usual = self::sheetsOfMostPages($site);
        $folders = [];
        foreach ($usual as $sheet => $linking) {
            $folder = self::folderOf("/$sheet");
            foreach (array_keys($linking) as $path) {
                while (! str_starts_with("/$path", $folder)) {
                    $folder = self::folderOf(rtrim($folder, '/'));
                }
            }
            $folders[(string) $sheet] = $folder;
        }

        return $folders;
    }

    /** @return array<array<string, true>> the pages that link a sheet, by the path of the sheet */
    private static function sheetsOfMostPages(ParsedSite $site): array
    {
        $pages = [];
        foreach ($site->pages as $page) {
            foreach ($page->stylesheets() as $reference) {
                if ($reference->target->found !== null) {
                    $pages[$reference->target->found][$page->path()] = true;
                }
            }
        }

        return array_filter(
            $pages,
            fn (array $linking) => 2 * count($linking) > count($site->pages) && count($linking) > 1,
        );
    }

    private static function folderOf(string $path): string
    {
        return substr($path, 0, (int) strrpos($path, '/') + 1);
    }
}
