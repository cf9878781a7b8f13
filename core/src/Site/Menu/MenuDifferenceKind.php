<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Menu;

/** How a page's menu differs from the usual one. */
enum MenuDifferenceKind: string
{
    case NoMenu = 'no-menu';
    case Missing = 'missing';
    case Extra = 'extra';
    case Renamed = 'renamed';
    case Readdressed = 'readdressed';
    case Twice = 'twice';
    /** beside the list that holds the other entries */
    case OutsideList = 'outside-list';
    case Order = 'order';
    case Place = 'place';
    case OwnLinked = 'own-linked';
    case OwnPlain = 'own-plain';
}
