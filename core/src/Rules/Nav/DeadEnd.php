<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A page without a link to another page of the site. The endings of a branching story may be such. Common practice. */
final readonly class DeadEnd extends WayRule
{
    public function __construct()
    {
        parent::__construct('nav/dead-end', Weight::Departure, ProofMark::Insert, 'A page leads nowhere.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach (self::isStory($reading, $brief) ? [] : $reading->map()->deadEnds() as $path) {
            if (! self::isToldElsewhere($path, $reading)) {
                yield $this->at($path, $reading, 'This page leads nowhere: no link on it goes to another page of the site.', 'Give it the menu of the other pages, or at least a link to the home page.');
            }
        }
    }
}
