<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\ContentModels as Model;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\MarkupError;
use InkedMargin\Core\Markup\Misplaced;
use InkedMargin\Core\Markup\MisplacedKind;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/** An element or text where the content model of its parent does not allow it (HTML Standard, 3.2.5 and section 4). */
final readonly class ContentModel extends SlipRule
{
    private const NESTED = [
        'nested-a-element' => 'a',
        'nested-button' => 'button',
        'nested-form' => 'form',
        'nested-heading' => 'heading',
        'nested-table' => 'table',
        'nested-nobr' => 'nobr',
        'nested-select' => 'select',
    ];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/content-model',
            'Element not allowed here',
            Weight::Fault,
            ProofMark::Move,
            'An element or text is where it is not allowed.',
            'Browsers and screen readers rely on what may be inside what. In the wrong place an '
                .'element can be moved, closed too early or read out wrongly.',
            Citation::html('Content models', 'dom.html#content-models'),
            ['markup/unclosed-element', 'markup/misnested', 'markup/missing-skeleton-tag'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->slipFindings($exam);
        foreach ($exam->site->pages as $page) {
            yield from $this->cutShort($page);
            yield from $this->secondMain($page);
            yield from $this->parserErrors($page);
            yield from $this->misplaced($page);
        }
    }

    protected function wordsFor(Slip $slip): ?Words
    {
        if ($slip->kind === SlipKind::SheetByLink) {
            return new Words(
                '`<a>` makes a link to click on; a stylesheet is linked with `<link>`.',
                'Type `<link` in place of `<a`.',
                'sheet',
            );
        }

        return $slip->kind !== SlipKind::BodyContentInHead ? null : new Words(
            "`<{$slip->inside}>` is inside `<head>`, but what shows on the page belongs in `<body>`.",
            'Move it to after `<body>`.',
            'in-head',
        );
    }

    /** @return iterable<Draft> neighbours with the same problem together */
    private function misplaced(Page $page): iterable
    {
        $group = [];
        foreach (Model::load()->misplaced($page->document) as $misplaced) {
            if ($group !== [] && ! self::goesWith($misplaced, $group[0])) {
                yield $this->together($group, $page);
                $group = [];
            }
            $group[] = $misplaced;
        }
        if ($group !== []) {
            yield $this->together($group, $page);
        }
    }

    private static function goesWith(Misplaced $one, Misplaced $first): bool
    {
        $name = fn (Misplaced $misplaced) => $misplaced->node instanceof Element ? $misplaced->node->name : '';

        return $one->kind === $first->kind && $one->node->parent === $first->node->parent
            && $name($one) === $name($first);
    }

    /** @param  non-empty-list<Misplaced>  $group */
    private function together(array $group, Page $page): Draft
    {
        $node = $group[0]->node;
        $last = $group[count($group) - 1]->node;
        $parent = $node->parent;
        $element = $node instanceof Element ? $node : $parent;
        $name = $node instanceof Element ? "`<{$node->name}>`" : 'Text';
        $words = self::words($group[0], $name, $parent->name ?? 'body', count($group));
        $first = $node instanceof Element
            ? $node->place()
            : new Span(
                $node->span()->start + strspn($node->text, " \t\r\n"),
                max($node->span()->start + strspn($node->text, " \t\r\n"), $node->span()->end),
            );
        $related = [];
        foreach (array_slice($group, 1, 12) as $other) {
            $place = $other->node instanceof Element ? $other->node->place() : $other->node->span();
            $related[] = new Related($page->file, $place, 'the same here');
        }
        $unclosed = $element === null ? null : $page->pairs->unclosedAround($element);
        $subjects = [];
        foreach ($group as $one) {
            if ($one->node instanceof Element) {
                $subjects[] = Subject::element($page->path(), $one->node);
            }
        }

        return Draft::onPage($page, $first, ($element?->path() ?? '').($node instanceof Element ? '' : '#text'))
            ->words($words)
            ->variant($group[0]->kind->value)
            ->related(...$related)
            ->mend(self::mend($group[0], $node, $last, $page))
            ->about(...$subjects)
            ->causedBy(...($unclosed === null ? [] : [Subject::element($page->path(), $unclosed)]))
            ->folded(in_array(
                $group[0]->kind,
                [MisplacedKind::BlockInPhrase, MisplacedKind::NotAChild, MisplacedKind::Order, MisplacedKind::Nested],
                true,
            )
                ? "{$group[0]->kind->value}:$name:".($parent->name ?? '').':'.implode(' ', $group[0]->others)
                : '');
    }

    /** Items without a list, with the list put around them. */
    private static function mend(Misplaced $misplaced, mixed $first, mixed $last, Page $page): ?Mend
    {
        $isItem = $misplaced->kind === MisplacedKind::NeedsParent && $first instanceof Element && $first->name === 'li';
        $end = $last instanceof Element ? $last->span()?->end : null;
        if (! $isItem || $end === null || $last->endTag() === null || in_array(
            $first->parent?->name,
            ['p', 'span'],
            true,
        )) {
            return null;
        }

        return Mend::of(
            Edit::insert($page->file, $first->place()->start, '<ul>'),
            Edit::insert($page->file, $end, '</ul>'),
        );
    }

    private static function words(Misplaced $misplaced, string $name, string $parent, int $count): Words
    {
        $others = English::list(array_map(fn (string $other) => "`<$other>`", $misplaced->others), 'or');
        $other = $misplaced->others[0] ?? '';
        $these = $count === 1 ? "This $name is" : "These $count $name are";

        return match ($misplaced->kind) {
            MisplacedKind::NeedsParent => new Words(
                "$these not inside $others.",
                "Put `<$other>` before ".($count === 1 ? 'it' : 'the first')." and `</$other>` after "
                    .($count === 1 ? 'it.' : 'the last.'),
            ),
            MisplacedKind::NotAChild => new Words(
                "`<$parent>` can only contain $others, not $name.",
                $parent === 'ul' || $parent === 'ol'
                    ? 'Put it inside an `<li>`, or move it out of the list.'
                    : "Move it out of `<$parent>`.",
            ),
            MisplacedKind::BlockInPhrase => new Words(
                "$name cannot be inside `<$other>`, which is for text only.",
                "Close `<$other>` before it, or use `<div>` in place of `<$other>`.",
            ),
            MisplacedKind::Nested => new Words(
                "$name cannot be inside `<$other>`.",
                "Move it out of `<$other>`, or remove one of the two.",
            ),
            MisplacedKind::Metadata => new Words(
                "$name belongs in `<head>`, but it is in `<$parent>`.",
                'Move it before `</head>`.',
            ),
            MisplacedKind::Order => self::orderWords($misplaced, $name, $parent),
            MisplacedKind::Second => new Words("`<$parent>` has a second $name.", 'Keep one of them.'),
            MisplacedKind::Text => new Words(
                "Text is directly inside `<$parent>`, which can only contain $others.",
                "Put it inside `<$other>`.",
            ),
        };
    }

    private static function orderWords(Misplaced $misplaced, string $name, string $parent): Words
    {
        $by = $misplaced->others[1] ?? null;
        if ($by === 'dt') {
            return new Words(
                'This `<dd>` has no `<dt>` before it that it describes.',
                'Add a `<dt>` with the term before it.',
            );
        }
        if ($by === 'dd') {
            return new Words(
                'This `<dt>` has no `<dd>` after it that describes it.',
                'Add a `<dd>` with the description after it.',
            );
        }

        return $by === null
            ? new Words(
                "$name must be the first or the last thing in `<$parent>`.",
                'Move it to the start or to the end.',
            )
            : new Words("In `<$parent>`, $name must come before `<$by>`.", "Move it before `<$by>`.");
    }

    /** @return iterable<Draft> 4.4.14: one main that is not hidden */
    private function secondMain(Page $page): iterable
    {
        $isShown = fn (Element $element) => $element->isWritten() && $element->attribute('hidden') === null;
        $mains = array_values(array_filter($page->named('main'), $isShown));
        foreach (array_slice($mains, 1) as $main) {
            yield Draft::at($page, $main)
                ->variant('second')
                ->anchored('#second')
                ->says('The page has a second `<main>`.')
                ->remedy('Keep one `<main>` around everything that the page is about.')
                ->related(new Related($page->file, $mains[0]->place(), 'the first `<main>`'));
        }
    }

    /** @return iterable<Draft> a paragraph that ends where a block begins in it */
    private function cutShort(Page $page): iterable
    {
        foreach ($page->pairs->cutShort as [$element, $endTag]) {
            $name = $element->name;
            $by = $page->pairs->tagAt($element->closedAt ?? 0) ?? 'another element';
            yield self::cutOff($page, $element, $endTag, $by);
        }
    }

    private static function cutOff(Page $page, Element $element, int $endTag, string $by): Draft
    {
        $name = $element->name;
        $closedAt = $element->closedAt ?? 0;

        return Draft::at($page, $element)
            ->variant('cut-short')
            ->says("`$by` cannot be inside `<$name>`, so it ends the `<$name>`, "
                ."and the later `</$name>` closes nothing.")
            ->remedy("Type `</$name>` before `$by`, and remove the later `</$name>`.")
            ->related(
                new Related($page->file, Span::at($closedAt), "`$by` ends the `<$name>`"),
                new Related($page->file, Span::at($endTag), "this `</$name>` closes nothing"),
            )
            ->mend(Mend::of(
                Edit::insert($page->file, $closedAt, "</$name>"),
                Edit::remove($page->file, $page->pairs->tagSpan($endTag)),
            ))
            ->about(Subject::place($page->path(), $endTag), Subject::place($page->path(), $closedAt));
    }

    /**
     * @return iterable<Draft> what the parser itself sorts out: cells without rows, text in tables, links in links
     */
    private function parserErrors(Page $page): iterable
    {
        $places = [];
        foreach ($page->document->errors as $error) {
            $group = self::groupOf($error);
            if ($group !== null) {
                $places[$group][] = $error->offset;
            }
        }
        $claimed = [];
        foreach ($places as $group => $offsets) {
            [$variant, $nested] = explode(' ', "$group ");
            // The first that is nested accounts for the end tags that close nothing, also those of the ones after it.
            $isFirst = ! isset($claimed["$variant $nested"]);
            $claimed["$variant $nested"] = true;
            $finding = $this->parserError($variant, $nested, $offsets, $page, $isFirst);
            if ($finding !== null) {
                yield $finding;
            }
        }
    }

    /** The kind of errors that this one is reported with; null for one that another rule reports. */
    private static function groupOf(MarkupError $error): ?string
    {
        return match (true) {
            $error->code === 'cell-without-row' => 'row',
            $error->code === 'foster-parented-content' => 'table',
            $error->code === 'misplaced-start-tag' => 'outside-table',
            isset(self::NESTED[$error->code]) => 'nested '.self::NESTED[$error->code].' '.$error->offset,
            default => null,
        };
    }

    /**
     * @param  string  $nested  the name of what is nested, or nothing
     * @param  non-empty-list<int>  $offsets
     */
    private function parserError(string $variant, string $nested, array $offsets, Page $page, bool $isFirst): ?Draft
    {
        $tag = $page->pairs->tagAt($offsets[0]);
        [$message, $remedy] = match ($variant) {
            'row' => [
                'These cells are not inside a row.',
                'Put `<tr>` before the first cell of each row and `</tr>` after the last.',
            ],
            'table' => [
                'Something in this table is not inside a cell, so browsers move it above the table.',
                'Put it inside a `<td>` or `<caption>`, or outside the table.',
            ],
            'outside-table' => [
                ($tag === null ? 'This tag' : "`$tag`").' cannot be here, so browsers ignore it.',
                in_array($tag, ['<td>', '<th>', '<tr>', '<tbody>', '<thead>', '<caption>'], true)
                    ? 'Put `<table>` and `<tr>` around the cells.'
                    : 'Move it to where it belongs, or remove it.',
            ],
            default => [
                'There is a '.($nested === 'a' ? 'link' : $nested).' inside a '.($nested === 'a' ? 'link' : $nested)
                    .', so browsers close the first one here.',
                match (true) {
                    $nested === 'heading' => 'Close the first heading before the second.',
                    $page->pairs->isClosedLater(
                        $nested,
                        $offsets[0],
                    ) => "Remove one of the two, or type `</$nested>` before this one and remove the later "
                        ."`</$nested>`.",
                    default => "Type `</$nested>` where the first one ends.",
                },
            ],
        };
        if ($variant === 'outside-table' && in_array($tag, ['<head>', '<body>', '<html>', '<frame>'], true)) {
            return null;
        }

        return Draft::onPage($page, $page->pairs->tagSpan($offsets[0]), "$variant:$nested:$tag")
            ->variant($variant)
            ->says($message)
            ->remedy($remedy)
            ->related(...array_map(
                fn (int $offset) => new Related($page->file, Span::at($offset), 'the same here'),
                array_slice($offsets, 1, 12),
            ))
            ->about(
                ...$this->subjectsOf($offsets, $page, $isFirst),
                ...($variant === 'table' ? [Subject::page($page->path()).'#table'] : []),
            )
            ->causedBy(...$this->unclosedBefore($page, $offsets[0], $nested));
    }

    /** @return list<string> an element of the name that was never closed is why the next one is nested */
    private function unclosedBefore(Page $page, int $offset, string $nested): array
    {
        $causes = [Subject::place($page->path(), $offset)];
        $names = $nested === 'heading' ? ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'] : [$nested];
        $last = $page->pairs->lastUnclosed($offset, ...$names);

        return $last === null ? $causes : [...$causes, Subject::element($page->path(), $last)];
    }

    /**
     * The places of the tags themselves, and of the end tags that close nothing because of them.
     *
     * @param  non-empty-list<int>  $offsets
     * @return list<string>
     */
    private function subjectsOf(array $offsets, Page $page, bool $isFirst): array
    {
        $subjects = array_map(fn (int $offset) => Subject::place($page->path(), $offset), $offsets);
        if (! $isFirst) {
            return $subjects;
        }
        $names = array_unique(
            array_map(fn (int $offset) => trim((string) $page->pairs->tagAt($offset), '<>'), $offsets),
        );
        foreach ($page->pairs->stray as $offset => $name) {
            if ($offset > $offsets[0] && in_array($name, $names, true)) {
                $subjects[] = Subject::place($page->path(), $offset);
            }
        }

        return $subjects;
    }
}
