<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** What a reference is for. */
enum ReferenceKind: string
{
    /** a reader follows it */
    case Link = 'link';
    /** the browser follows it by itself: `meta refresh` */
    case Refresh = 'refresh';
    case Stylesheet = 'stylesheet';
    case Picture = 'picture';
    case Script = 'script';
    /** sound, film, frames and embedded things */
    case Embedded = 'embedded';
    /** an address in CSS that is no `@import` */
    case Style = 'style';
    case Form = 'form';
    case Other = 'other';
}
