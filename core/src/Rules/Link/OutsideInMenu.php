<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\LinkPlace;
use InkedMargin\Core\Site\Map\PageLink;
use InkedMargin\Core\Source\TextGroups;

/**
 * An outside address among the pages of the menu. An address in the menus of several pages is reported once. Common
 * practice.
 */
final readonly class OutsideInMenu extends Rule implements ComparesFiles
{
    private const MAX_RELATED = 12;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/outside-in-menu',
            'External link in menu',
            Weight::Tidy,
            ProofMark::Move,
            'A link to another site is among the links of the menu.',
            'People expect the menu to lead around your site. An entry that leaves the site without '
                .'warning confuses them.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        /** @var TextGroups<PageLink> $byAddress */
        $byAddress = new TextGroups;
        foreach ($exam->site->fact(LinkMap::class)->links as $link) {
            if ($link->place === LinkPlace::Menu && $link->leavesSite()) {
                $byAddress->add((string) $link->reference->target->address, $link);
            }
        }
        foreach ($byAddress as $links) {
            yield Draft::atAddress($links[0]->reference)
                ->anchored('#menu')
                ->says(($links[0]->label === '' ? 'This link' : "“{$links[0]->label}”")
                    .' leads to another site, but it is in the menu like a page of this one.')
                ->remedy('Move it to the text that is about it, or to the footer.')
                ->related(...array_map(
                    fn (PageLink $link) => new Related($link->page->file, $link->reference->span, 'the same link'),
                    array_slice($links, 1, self::MAX_RELATED),
                ));
        }
    }
}
