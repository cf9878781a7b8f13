<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Markup\Element;

/** A part of the skeleton that is not where it should be. */
final readonly class Gap
{
    /**
     * @param  Element|null  $element  the part itself; for a missing one the part that it should follow
     * @param  Element|null  $beside  the parent it should stand in, the part it should follow, or the one that holds it wrongly
     */
    public function __construct(public string $part, public ?Element $element, public GapKind $kind, public ?Element $beside)
    {
    }
}
