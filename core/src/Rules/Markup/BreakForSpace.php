<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Pictures;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\ContentModels as Model;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Node;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;

/**
 * Line breaks in a row, or between two blocks, used as spacing (HTML Standard, 4.5.27); one that ends a paragraph.
 * Common practice.
 */
final readonly class BreakForSpace extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/break-for-space',
            'Needless line break',
            Weight::Tidy,
            ProofMark::TakeOut,
            'Line breaks are used as spacing, or do nothing.',
            '`<br>` is for lines that belong together, as in a poem or an address. Space made with it '
                .'cannot be changed in the stylesheet and looks wrong on a phone.',
            Citation::html('The br element', 'text-level-semantics.html#the-br-element'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        // A brief that asks for line breaks is not advised against.
        if ($exam->brief->asksFor('element', 'br')) {
            return;
        }
        foreach ($exam->site->pages as $page) {
            if ($exam->brief->covering($page->path(), Pictures::class)?->breaks !== null) {
                continue;
            }
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
                $last = self::lastIn($parent);
                if ($last !== null) {
                    yield Draft::at($page, $last)
                        ->variant('end')
                        ->says('This line break does nothing, because the paragraph ends here anyway.')
                        ->remedy('Remove it.')
                        ->folded('br at the end');
                }
            }
        }
    }

    /** @param  non-empty-list<Element>  $run */
    private function run(array $run, Page $page): Draft
    {
        $isOne = count($run) === 1;

        return Draft::at($page, $run[0])
            ->variant('space')
            ->span($run[0]->place()->through($run[count($run) - 1]->place()))
            ->says(($isOne ? 'This line break is' : 'These line breaks are').' only used for spacing.')
            ->remedy('Remove '.($isOne ? 'it' : 'them').' and use `margin` in your stylesheet.')
            ->folded('br');
    }

    /** @return iterable<non-empty-list<Element>> two or more in a row, or one between two blocks */
    private static function runsIn(Element $parent): iterable
    {
        $before = null;
        $run = [];
        foreach ([...$parent->children, null] as $child) {
            if ($child instanceof TextNode && $child->isBlank()) {
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

    /** A single line break that ends a paragraph with something in it: CSS makes no line of it (CSS Text 3, 4.1). */
    private static function lastIn(Element $parent): ?Element
    {
        $isBlank = fn (Node $child) => $child instanceof Comment || ($child instanceof TextNode && $child->isBlank());
        $children = array_values(array_filter($parent->children, fn (Node $child) => ! $isBlank($child)));
        $last = array_pop($children);
        $before = array_pop($children);
        $isLast = $last instanceof Element && $last->is('br') && $last->isWritten();
        $isFirst = $before === null || ($before instanceof Element && $before->is('br'));

        return $parent->is('p') && $isLast && ! $isFirst ? $last : null;
    }

    private static function isBlock(?Node $node): bool
    {
        return $node instanceof Element && ! Model::load()->isPhrasing($node->name);
    }
}
