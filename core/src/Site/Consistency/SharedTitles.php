<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Source\TextGroups;

/** Pages that have the title of another page. */
final readonly class SharedTitles implements SiteFact
{
    public const REMEDY = 'Write a title that says what this page is about.';

    /** @param  list<array{Page, Page}>  $copies  each with the page that the title belongs to */
    private function __construct(public array $copies)
    {
    }

    public static function of(ParsedSite $site): self
    {
        $byTitle = self::byTitle($site);
        $copies = [];
        foreach ($byTitle as $pages) {
            if (count($pages) < 2) {
                continue;
            }
            $owner = PageNames::owner($pages[0]->titleText(), $pages);
            foreach ($pages as $page) {
                if ($page !== $owner) {
                    $copies[] = [$page, $owner];
                }
            }
        }

        return new self($copies);
    }

    /** @return TextGroups<Page> pages by their title in lower case, without those that only lead on */
    private static function byTitle(ParsedSite $site): TextGroups
    {
        /** @var TextGroups<Page> $byTitle */
        $byTitle = new TextGroups;
        foreach ($site->pages as $page) {
            $title = mb_strtolower($page->titleText());
            if ($title !== '' && ! SpecialPage::isRedirect($page)) {
                $byTitle->add($title, $page);
            }
        }

        return $byTitle;
    }

    public static function message(Page $page, Page $owner): string
    {
        return "This page has the same title as `{$owner->path()}`: “{$page->titleText()}”.";
    }
}
