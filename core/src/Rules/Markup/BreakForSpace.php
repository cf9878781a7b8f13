<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;

/** Line breaks in a row, to make room (HTML Standard, 4.5.27). Common practice. */
final readonly class BreakForSpace extends ElementRule
{
    public function __construct()
    {
        parent::__construct('markup/break-for-space', Weight::Tidy, ProofMark::TakeOut, 'Line breaks stand in a row to make room.');
    }

    protected function lookAt(Element $element, Page $page): ?Finding
    {
        if ($element->name !== 'br' || $element->parent === null) {
            return null;
        }
        $run = 0;
        foreach ($element->parent->children as $sibling) {
            $isBreak = $sibling instanceof Element && $sibling->is('br');
            if ($isBreak || ! $sibling instanceof Text || ! $sibling->isBlank()) {
                $run = $isBreak ? $run + 1 : 0;
            }
            if ($sibling === $element) {
                break;
            }
        }

        return $run === 2 ? $this->at($element, $page, 'Line breaks in a row only make room.', 'Close the paragraph, and make room with the CSS property margin.') : null;
    }
}
