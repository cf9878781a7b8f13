<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A page from which no way leads home. In a branching story nobody has to come back. Common practice. */
final readonly class NoWayHome extends WayRule
{
    public function __construct()
    {
        parent::__construct('nav/no-way-home', Weight::Departure, ProofMark::Insert, 'No way leads from a page back to the home page.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach (self::isStory($reading, $brief) ? [] : $reading->map()->withoutWayHome() as $path) {
            if (! self::isToldElsewhere($path, $reading)) {
                yield $this->at($path, $reading, 'From this page there is no way back to the home page.', 'Link to the home page here, or on the pages that follow.');
            }
        }
    }
}
