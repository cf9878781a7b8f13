<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\PartKind;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Source\TextGroups;

/**
 * Paragraphs that another page has word for word, and that few pages have; and descriptions that name another page.
 * Common practice.
 */
final readonly class SharedTexts implements SiteFact
{
    /** Characters: a shorter paragraph counts only where it names the page that it came from. */
    private const LONG = 60;

    private const SHORTEST = 12;

    private const MAX_NODES = 2_000;

    /** Pages: a larger site that shares much text does so on purpose. */
    private const LARGE = 20;

    /** Pages: a larger site was written by a program, and not by copying pages. */
    private const GENERATED = 100;

    /** What pages say on purpose: who made them, when, and how to reach whom. */
    private const BOILERPLATE = '/©|\(c\)|&copy;|copyright|all rights reserved|this (?:document|page|site) (?:was|is) (?:generated|last)|generated (?:by|on|from)|last (?:updated|modified|changed)|@\w+\.|\bhttps?:|\+?\d[\d ()-]{7,}\d|\b(?:licen[cs]e|cookies?|javascript|terms|privacy)\b/iu';

    /** @param  list<Leftover>  $leftovers */
    private function __construct(public array $leftovers)
    {
    }

    public static function of(ParsedSite $site): self
    {
        return new self(array_values([...self::descriptions($site), ...self::leftParagraphs($site)]));
    }

    /** @return list<Leftover> */
    private static function leftParagraphs(ParsedSite $site): array
    {
        $found = [];
        foreach (self::paragraphs($site) as $words => $places) {
            $count = count($places);
            $isShared = $count > 1 && 2 * $count <= max(4, count($site->pages));
            if ($isShared && preg_match(self::BOILERPLATE, $words) !== 1) {
                array_push($found, ...self::copies($words, $places, $site));
            }
        }
        $copies = count(array_unique(array_map(fn (Leftover $one) => $one->page->path(), $found)));
        $pages = count($site->pages);
        // A manual of many pages that says the same on many of them does so on purpose.
        $isMeant = $pages > self::GENERATED || ($pages > self::LARGE && 4 * $copies > $pages);

        return $isMeant ? [] : $found;
    }

    /**
     * @param  non-empty-list<array{Element, Page}>  $places
     * @return list<Leftover>
     */
    private static function copies(string $words, array $places, ParsedSite $site): array
    {
        $owner = $site->fact(CopyOwners::class)->owner($words, array_column($places, 1));
        if (mb_strlen($words) < self::LONG && ! (count($places) === 2 && PageNames::isAbout($owner, $words))) {
            return [];
        }
        $original = array_values(array_filter($places, fn (array $one) => $one[1] === $owner))[0][0];
        $found = [];
        foreach ($places as [$element, $page]) {
            $isTeaser = Teaser::leadsTo($element, $page, $owner) || Teaser::leadsTo($original, $owner, $page);
            if ($page !== $owner && ! $isTeaser) {
                $found[] = self::leftover(LeftoverKind::Paragraph, $page, $element, $owner, $original, $words);
            }
        }

        return $found;
    }

    /** @return iterable<Leftover> descriptions for search engines that name the page they were copied from */
    private static function descriptions(ParsedSite $site): iterable
    {
        /** @var TextGroups<array{Element, Page}> $byText */
        $byText = new TextGroups;
        foreach ($site->pages as $page) {
            foreach ($page->named('meta') as $meta) {
                $text = trim($meta->value('content') ?? '');
                if (strtolower($meta->value('name') ?? '') === 'description' && $text !== '') {
                    $byText->add(mb_strtolower($text), [$meta, $page]);
                }
            }
        }
        foreach ($byText as $words => $same) {
            if (count($same) !== 2 || count($site->pages) < 3) {
                continue;
            }
            $owner = $site->fact(CopyOwners::class)->owner($words, array_column($same, 1));
            foreach ([$same, array_reverse($same)] as [[$meta, $page], [$first]]) {
                $isOfOwner = PageNames::isAbout($owner, $words) && ! PageNames::isAbout($page, $words);
                if ($page !== $owner && $isOfOwner) {
                    yield self::leftover(LeftoverKind::Description, $page, $meta, $owner, $first, $words);
                }
            }
        }
    }

    private static function leftover(
        LeftoverKind $kind,
        Page $page,
        Element $element,
        Page $owner,
        Element $original,
        string $words,
    ): Leftover {
        return new Leftover(
            $kind,
            $page,
            $owner,
            $element,
            $element->span() ?? $element->place(),
            $original->span() ?? $original->place(),
            $words,
        );
    }

    /** @return TextGroups<array{Element, Page}> by text, one for each page */
    private static function paragraphs(ParsedSite $site): TextGroups
    {
        /** @var TextGroups<array{Element, Page}> $byText */
        $byText = new TextGroups;
        foreach ($site->pages as $page) {
            foreach (SpecialPage::is($page->path(), $site) ? [] : $page->named('p') as $element) {
                $isAround = in_array($page->outline->partOf($element), PartKind::AROUND, true);
                $words = $isAround || self::isMostlyLinks($element) ? '' : $element->words(self::MAX_NODES);
                if (strlen($words) >= self::SHORTEST) {
                    $byText->addOnce(mb_strtolower($words), $page, [$element, $page]);
                }
            }
        }

        return $byText;
    }

    /** A way on, a call to action, a credit: what is nearly all link is no text of the page. */
    private static function isMostlyLinks(Element $paragraph): bool
    {
        $linked = 0;
        foreach ($paragraph->children as $child) {
            if ($child instanceof Element && $child->name === 'a') {
                $linked += strlen($child->text(self::MAX_NODES));
            }
        }

        return $linked > 0 && 2 * $linked > strlen(trim($paragraph->text(self::MAX_NODES)));
    }
}
