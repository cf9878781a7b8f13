<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\ContentModel as Model;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Node;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;

/** Line breaks in a row, or between two blocks, used as spacing (HTML Standard, 4.5.27). Common practice. */
final readonly class BreakForSpace extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'markup/break-for-space',
            Weight::Tidy,
            ProofMark::TakeOut,
            'Line breaks are used as spacing.',
        );
    }

    public function check(Examination $exam): iterable
    {
        // A brief that asks for line breaks is not advised against.
        if ($exam->brief->asksFor('element', 'br')) {
            return;
        }
        foreach ($exam->site->pages as $page) {
            $parents = [];
            foreach ($page->named('br') as $break) {
                if ($break->parent !== null) {
                    $parents[spl_object_id($break->parent)] = $break->parent;
                }
            }
            foreach ($parents as $parent) {
                foreach (self::runsIn($parent) as $run) {
                    yield $this->run($run, $page);
                }
            }
        }
    }

    /** @param  non-empty-list<Element>  $run */
    private function run(array $run, Page $page): Finding
    {
        $isOne = count($run) === 1;

        return $this->elementFinding(
            $page,
            $run[0],
            ($isOne ? 'This line break is' : 'These line breaks are').' only used for spacing.',
            'Remove '.($isOne ? 'it' : 'them').' and use `margin` in your stylesheet.',
            span: $run[0]->place()->through($run[count($run) - 1]->place()),
            fold: 'br',
        );
    }

    /** @return iterable<non-empty-list<Element>> two or more in a row, or one between two blocks */
    private static function runsIn(Element $parent): iterable
    {
        $before = null;
        $run = [];
        foreach ([...$parent->children, null] as $child) {
            if ($child instanceof Text && $child->isBlank()) {
                continue;
            }
            if ($child instanceof Element && $child->is('br') && $child->isWritten()) {
                $run[] = $child;

                continue;
            }
            if (count($run) > 1 || (count($run) === 1 && self::isBlock($before) && self::isBlock($child))) {
                yield $run;
            }
            $run = [];
            $before = $child;
        }
    }

    private static function isBlock(?Node $node): bool
    {
        return $node instanceof Element && ! Model::load()->isPhrasing($node->name);
    }
}
