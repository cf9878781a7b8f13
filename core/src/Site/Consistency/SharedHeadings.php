<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Markup\OutlineEntry;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Source\TextGroups;

/**
 * Headings that belong to another page, where most pages have one of their own. A main heading that names the site is
 * none, and a smaller one counts only where it names the page that it came from. Common practice.
 */
final readonly class SharedHeadings implements SiteFact
{
    /** Pages: of fewer, two with one section say nothing. */
    private const FEW = 4;

    /** Pages: a larger site was written by a program, and not by copying pages. */
    private const GENERATED = 100;

    /** @param  list<Leftover>  $leftovers */
    private function __construct(public array $leftovers)
    {
    }

    public static function of(ParsedSite $site): self
    {
        return new self(array_values([...self::mainHeadings($site), ...self::sections($site)]));
    }

    /** @return iterable<Leftover> */
    private static function mainHeadings(ParsedSite $site): iterable
    {
        $byHeading = [];
        foreach ($site->pages as $page) {
            $heading = $page->outline->mainHeading();
            if ($heading !== null && $heading->text !== '' && $heading->level <= 2) {
                $byHeading['text '.mb_strtolower($heading->text)][] = [$page, $heading];
            }
        }
        $names = $site->fact(PageNames::class);
        foreach ($byHeading as $same) {
            // A heading that many pages share names the site.
            $isCommon = 2 * count($same) > count($site->pages) || 2 * count($byHeading) <= count($site->pages);
            if (count($same) < 2 || $isCommon || $names->isSiteName($same[0][1]->text)) {
                continue;
            }
            $owner = $site->fact(CopyOwners::class)->owner($same[0][1]->text, array_column($same, 0));
            $original = $owner->outline->mainHeading();
            foreach ($same as [$page, $heading]) {
                if ($page !== $owner && $original !== null) {
                    yield self::leftover(LeftoverKind::Heading, $page, $heading, $owner, $original);
                }
            }
        }
    }

    /** @return iterable<Leftover> */
    private static function sections(ParsedSite $site): iterable
    {
        $pages = count($site->pages);
        foreach ($pages < self::FEW || $pages > self::GENERATED ? [] : self::sectionsByHeading($site) as $same) {
            if (count($same) !== 2 || $same[0][0] === $same[1][0]) {
                continue;
            }
            foreach ([$same, array_reverse($same)] as [[$page, $heading], [$owner, $original]]) {
                $isTaken = PageNames::isAbout($owner, $heading->text) && ! PageNames::isAbout($page, $heading->text);
                $isTeaser = Teaser::leadsTo($heading->element, $page, $owner)
                    || Teaser::leadsTo($original->element, $owner, $page);
                if ($isTaken && ! $isTeaser && $owner->path() !== LinkMap::HOME) {
                    yield self::leftover(LeftoverKind::Section, $page, $heading, $owner, $original);
                }
            }
        }
    }

    /** @return TextGroups<array{Page, OutlineEntry}> second-level headings by their words, one for each page */
    private static function sectionsByHeading(ParsedSite $site): TextGroups
    {
        /** @var TextGroups<array{Page, OutlineEntry}> $byHeading */
        $byHeading = new TextGroups;
        foreach ($site->pages as $page) {
            // What is made for printing has what all the others have.
            foreach (SpecialPage::is($page->path(), $site) ? [] : $page->outline->headings() as $heading) {
                $text = mb_strtolower($heading->text);
                $isInContent = $heading->inside !== PartKind::Footer && $heading->inside !== PartKind::Nav;
                if ($heading->level === 2 && $text !== '' && $isInContent) {
                    $byHeading->addOnce($text, $page, [$page, $heading]);
                }
            }
        }

        return $byHeading;
    }

    private static function leftover(
        LeftoverKind $kind,
        Page $page,
        OutlineEntry $heading,
        Page $owner,
        OutlineEntry $original,
    ): Leftover {
        return new Leftover(
            $kind,
            $page,
            $owner,
            $heading->element,
            $heading->span(),
            $original->span(),
            $heading->text,
        );
    }
}
