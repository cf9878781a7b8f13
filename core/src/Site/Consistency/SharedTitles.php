<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Site\Map\SpecialPage;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Source\TextGroups;

/** Pages that have the title of another page. */
final readonly class SharedTitles implements SiteFact
{
    /** @param  list<Leftover>  $leftovers */
    private function __construct(public array $leftovers)
    {
    }

    public static function of(ParsedSite $site): self
    {
        $leftovers = [];
        foreach (self::byTitle($site) as $pages) {
            $owner = $site->fact(CopyOwners::class)->owner($pages[0]->titleText(), $pages);
            foreach ($pages as $page) {
                $title = $page->title();
                if ($page !== $owner && $title !== null) {
                    $leftovers[] = new Leftover(
                        LeftoverKind::Title,
                        $page,
                        $owner,
                        $title,
                        $title->span() ?? $page->headPlace(),
                        $owner->title()?->span() ?? $owner->headPlace(),
                        $page->titleText(),
                    );
                }
            }
        }

        return new self($leftovers);
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
}
