<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\Link;
use InkedMargin\Core\Site\Pattern\PatternKind;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A rule about pages from which there is no way on. */
abstract readonly class WayRule extends Rule
{
    /** The endings of a branching story lead nowhere, and nobody has to come back from them. */
    final protected static function isStory(SiteReading $reading, Brief $brief): bool
    {
        return array_filter(Expectations::patterns($reading, $brief), fn (array $found) => $found[0]->kind === PatternKind::Branching) !== [];
    }

    /** Whether something that another rule tells is why no way leads on: a menu that is missing, an address that is broken. */
    final protected static function isToldElsewhere(string $path, SiteReading $reading): bool
    {
        $menus = $reading->menus();
        $hasBroken = array_filter($reading->map()->linksOn($path), fn (Link $link) => $link->isUnfinished()) !== [];

        return $hasBroken || ($menus->usual !== null && $menus->on($path) === null && $reading->map()->linkedFrom($path) > 0) || $reading->map()->linkedFrom($path) === 0;
    }

    final protected function at(string $path, SiteReading $reading, string $message, string $remedy): Finding
    {
        $page = $reading->pages[$path];
        $body = $page->document->first('body');

        return $this->finding($path, $page->file, $body?->startTag() ?? Span::at(0), $message, $remedy, '');
    }
}
