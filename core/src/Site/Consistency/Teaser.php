<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;

/** Words of a page that stand on another as an invitation to read it, with a link to it beside them. */
final class Teaser
{
    private const AROUND = ['article', 'section', 'li', 'div', 'td', 'figure', 'dd', 'aside', 'a'];

    /** Whether a block of a page leads to another page: it is in a link there, or stands beside one. */
    public static function leadsTo(Element $block, Page $page, Page $other): bool
    {
        $around = $block;
        while ($around->parent instanceof Element && ! in_array($around->name, self::AROUND, true)) {
            $around = $around->parent;
        }
        if (! in_array($around->name, self::AROUND, true)) {
            $around = $block;
        }
        foreach ($page->references as $reference) {
            $isThere = $reference->target->found === $other->path() && $reference->element?->name === 'a';
            if ($isThere && ($reference->element === $around || self::isIn($reference->element, $around))) {
                return true;
            }
        }

        return false;
    }

    private static function isIn(Element $inside, Element $around): bool
    {
        for ($at = $inside->parent; $at instanceof Element; $at = $at->parent) {
            if ($at === $around) {
                return true;
            }
        }

        return false;
    }
}
