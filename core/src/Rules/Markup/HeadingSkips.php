<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A heading that leaves out a level (HTML Standard, 4.3.11). */
final readonly class HeadingSkips extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/heading-skips', Weight::Tidy, ProofMark::Change, 'A heading leaves out a level.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $before = 0;
            foreach ($page->elements as $element) {
                if (preg_match('/^h([1-6])$/', $element->name, $level) !== 1 || ! $element->isWritten()) {
                    continue;
                }
                if ($before > 0 && (int) $level[1] > $before + 1) {
                    yield $this->on($element, $page->file, $element->place(), "An {$element->name} follows an h{$before}: a level is left out.", 'Type h'.($before + 1).' here. How large it looks is for the stylesheet.');
                }
                $before = (int) $level[1];
            }
        }
    }
}
