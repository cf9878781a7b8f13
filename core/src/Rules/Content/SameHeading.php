<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\OutlineEntry;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Consistency\Teaser;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;

/**
 * A heading that another page has, where most pages have one of their own: left over from the page that was copied. A
 * main heading that names the site is none, and a smaller one counts only where it names the page that it came from.
 * Common practice.
 */
final readonly class SameHeading extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/same-heading',
            'Repeated main heading',
            Weight::Departure,
            ProofMark::Change,
            'Two pages have the same heading.',
            'Two pages with one heading look like the same page, so people think that their click did '
                .'not work.',
            Citation::wcag('2.4.6 Headings and Labels', 'headings-and-labels'),
            ['content/title-not-heading', 'brief/headings'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->mainHeadings($exam);
        yield from $this->sections($exam);
    }

    /** @return iterable<Draft> */
    private function mainHeadings(Examination $exam): iterable
    {
        $byHeading = [];
        foreach ($exam->site->pages as $page) {
            $heading = $page->outline->mainHeading();
            if ($heading !== null && $heading->text !== '' && $heading->level <= 2) {
                $byHeading['text '.mb_strtolower($heading->text)][] = [$page, $heading];
            }
        }
        $names = $exam->site->fact(PageNames::class);
        foreach ($byHeading as $same) {
            // A heading that many pages share names the site.
            $isCommon = 2 * count($same) > count($exam->site->pages)
                || 2 * count($byHeading) <= count($exam->site->pages);
            if (count($same) < 2 || $isCommon || $names->isSiteName($same[0][1]->text)) {
                continue;
            }
            $owner = PageNames::owner($same[0][1]->text, array_column($same, 0));
            $original = $owner->outline->mainHeading();
            foreach ($same as [$page, $heading]) {
                if ($page !== $owner && $original !== null) {
                    yield $this->copy('main', $page, $heading, $owner, $original);
                }
            }
        }
    }

    /** @return iterable<Draft> */
    private function sections(Examination $exam): iterable
    {
        $byHeading = self::sectionsByHeading($exam->site);
        foreach ($byHeading as $same) {
            if (count($same) !== 2 || count($exam->site->pages) < 4) {
                continue;
            }
            foreach ($same as [$page, $heading]) {
                foreach ($same as [$owner, $original]) {
                    $isTaken = $page !== $owner
                        && PageNames::isAbout($owner, $heading->text)
                        && ! PageNames::isAbout($page, $heading->text);
                    $isTeaser = Teaser::leadsTo($heading->element, $page, $owner)
                        || Teaser::leadsTo($original->element, $owner, $page);
                    if ($isTaken && ! $isTeaser && $owner->path() !== 'index.html') {
                        yield $this->copy('section', $page, $heading, $owner, $original);
                    }
                }
            }
        }
    }

    /** @return array<string, array<string, array{Page, OutlineEntry}>> second-level headings by their words and page */
    private static function sectionsByHeading(ParsedSite $site): array
    {
        $byHeading = [];
        foreach ($site->pages as $page) {
            // What is made for printing has what all the others have.
            if (SpecialPage::is($page->path(), $site)) {
                continue;
            }
            foreach ($page->outline->headings() as $heading) {
                if ($heading->level === 2
                    && $heading->text !== ''
                    && $heading->inside?->value !== 'footer'
                    && $heading->inside?->value !== 'nav') {
                    $byHeading['text '.mb_strtolower($heading->text)][$page->path()] ??= [$page, $heading];
                }
            }
        }

        return $byHeading;
    }

    private function copy(
        string $variant,
        Page $page,
        OutlineEntry $heading,
        Page $owner,
        OutlineEntry $original,
    ): Draft {
        return Draft::at($page, $heading->element)
            ->variant($variant)
            ->span($heading->span())
            ->says("“{$heading->text}” is also a heading of `{$owner->path()}`; it looks left over from a copied page.")
            ->remedy('Write a heading that says what is on this page.')
            ->related(new Related($owner->file, $original->span(), 'the same heading'))
            ->causedBy(Subject::element($page->path(), $heading->element));
    }
}
