<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Style\Syntax\AtRuleNames;
use InkedMargin\Core\Style\Syntax\AtRuleNode;
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
            } elseif (! $one instanceof AtRuleNode || self::isOfPages($one->name())) {
                yield from self::ofPages($one->content);
            }
        }
    }

    /** What a browser skips says nothing of pages either. */
    private static function isOfPages(string $name): bool
    {
        return AtRuleNames::isKnown($name) && ! in_array($name, self::OF_THEIR_OWN, true);
    }
}
