<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

use InkedMargin\Core\Site\Map\Link;

/** One place where a pattern is broken. */
final readonly class PatternBreak
{
    /**
     * @param  ExpectedLink|null  $expected  null for a surplus link
     * @param  Link|null  $link  the link that is there; null for a missing one
     * @param  string|null  $label  the words that the brief gives
     */
    public function __construct(public BreakKind $kind, public string $from, public ?ExpectedLink $expected, public ?Link $link, public ?string $label = null)
    {
    }
}
