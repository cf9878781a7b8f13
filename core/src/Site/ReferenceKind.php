<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** What a reference is for. */
enum ReferenceKind: string
{
    case Link = 'link';
    case Stylesheet = 'stylesheet';
    case Picture = 'picture';
    case Other = 'other';
}
