<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Site\ParsedSite;

/** Whether pages have scripts: they may make elements, classes and ids that are not in the markup. */
final class Scripts
{
    public static function areOn(ParsedSite $site): bool
    {
        foreach ($site->pages as $page) {
            if ($page->named('script') !== []) {
                return true;
            }
        }

        return false;
    }
}
