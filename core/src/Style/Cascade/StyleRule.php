<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Style\Selector\SelectorList;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\QualifiedRule;

/** A selector and its declarations, with all that decides whether they win. */
final readonly class StyleRule
{
    /**
     * @param  string  $sheet  the path of the sheet, or of the page that it stands in
     * @param  SelectorList|null  $selector  null where it is none, and the rule matches nothing
     * @param  list<Declaration>  $declarations
     * @param  string  $layer  of `@layer`, with dots; '' outside of any
     * @param  bool  $applies  whether its `@media` and `@supports` hold on a screen of 1280 by 800 px
     */
    public function __construct(
        public string $sheet,
        public QualifiedRule $written,
        public ?SelectorList $selector,
        public array $declarations,
        public string $layer,
        public bool $applies,
        public Origin $origin,
    ) {
    }
}
