<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Map\LinkPlace;
use InkedMargin\Core\Site\SiteReading;

/** An outside address among the pages of the menu. Common practice. */
final readonly class OutsideInMenu extends Rule
{
    public function __construct()
    {
        parent::__construct('link/outside-in-menu', Weight::Tidy, ProofMark::Move, 'A link to another site stands among the menu’s own.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->map()->links as $link) {
            if ($link->place !== LinkPlace::Menu || ! $link->leavesSite()) {
                continue;
            }
            yield $this->finding($link->from(), $link->page->file, $link->reference->span, "“{$link->label}” leads to another site, and stands in the menu as if it were a page of this one.", 'Put it where the text speaks of it, or into the footer.', $link->reference->anchor());
        }
    }
}
