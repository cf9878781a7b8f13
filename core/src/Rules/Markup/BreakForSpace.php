<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\ContentModel;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Node;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** Line breaks in a row, or one between two blocks, to make room (HTML Standard, 4.5.27). Common practice. */
final readonly class BreakForSpace extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/break-for-space', Weight::Tidy, ProofMark::TakeOut, 'Line breaks stand in a row, or between blocks, to make room.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->elements as $element) {
                foreach (self::spacersIn($element) as $break) {
                    yield $this->on(
                        $break,
                        $page->file,
                        $break->place(),
                        'This line break only makes room.',
                        'Take it out, and make room with the CSS property margin.',
                    );
                }
            }
        }
    }

    /** @return iterable<Element> one of each run: its second, or the only one between two blocks */
    private static function spacersIn(Element $parent): iterable
    {
        $before = null;
        $run = [];
        foreach ($parent->children as $child) {
            if ($child instanceof Text && $child->isBlank()) {
                continue;
            }
            if ($child instanceof Element && $child->is('br') && $child->isWritten()) {
                $run[] = $child;

                continue;
            }
            if (count($run) > 1 || (count($run) === 1 && self::isBlock($before) && self::isBlock($child))) {
                yield $run[1] ?? $run[0];
            }
            $run = [];
            $before = $child;
        }
        if (count($run) > 1) {
            yield $run[1];
        }
    }

    private static function isBlock(?Node $node): bool
    {
        return $node instanceof Element && ! ContentModel::load()->isPhrasing($node->name);
    }
}
