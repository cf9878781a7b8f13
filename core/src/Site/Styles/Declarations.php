<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Style\Syntax\AtRule;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\SyntaxRule;

/**
 * The declarations that say what elements look like: those of `@font-face`, `@page` and the like are of other names.
 */
final class Declarations
{
    private const OF_THEIR_OWN = [
        'font-face', 'page', 'property', 'counter-style', 'font-palette-values', 'font-feature-values',
        'view-transition',
        'color-profile', 'position-try', 'viewport', '-ms-viewport', 'function',
    ];

    /**
     * @param  list<Declaration|SyntaxRule>  $content
     * @return iterable<Declaration>
     */
    public static function ofPages(array $content): iterable
    {
        foreach ($content as $one) {
            if ($one instanceof Declaration) {
                yield $one;
            } elseif (! $one instanceof AtRule || ! in_array($one->name(), self::OF_THEIR_OWN, true)) {
                yield from self::ofPages($one->content);
            }
        }
    }
}
