<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Map;

/** Where on its page a link stands. */
enum LinkPlace: string
{
    case Menu = 'menu';
    case Header = 'header';
    case Body = 'body';
    case Footer = 'footer';
}
