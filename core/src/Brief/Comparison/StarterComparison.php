<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ReadableText;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\English;

/**
 * A page held against its starter file, element by element: what is marked there has to change, and all else has to
 * stay. White space and indentation do not matter.
 */
final class StarterComparison
{
    private const WHOSE = 'starter file';

    private const SHOWS = ['img', 'picture', 'video', 'audio', 'svg', 'canvas', 'iframe', 'object', 'embed', 'input'];

    /** What has to change counts for so much of a page, however much has to stay. */
    private const MARKED = 0.5;

    /** So much of a text has to be there for it to be that text with slips in it. */
    private const ALIKE = 0.5;

    /** @var list<StarterSlip> */
    public array $slips = [];

    /** How many passages have to change. */
    public int $marked = 0;

    /** How many elements have to stay. */
    public int $kept = 0;

    private readonly TreeMatch $match;

    /** @var array<int, list<PlacedWord>> words that have to stay, by the id of their block in the starter file */
    private readonly array $wanted;

    /** @var array<int, list<PlacedWord>> likewise, on the page */
    private readonly array $written;

    /** @var array<int, true> ids of elements of the starter file that stand in another place */
    private readonly array $isMoved;

    /** @var array<int, StarterFault> what is wrong with the words of a block, by its id in the starter file */
    private array $textFaults = [];

    /** @var array<int, array{Element, string, int}> by what was to be replaced: its place, words and passages */
    private array $emptied = [];

    /** @var array<int, array<int, true>> children beside what was to be replaced, by the id of their parent */
    private array $besideReplaced = [];

    /** @var array<int, int> how many elements within the lines of such a block are gone */
    private array $lostInside = [];

    /** @param  array<int, true>  $isMarked  ids of elements of the starter file that have to change */
    private function __construct(Page $given, private readonly Page $page, private readonly array $isMarked)
    {
        $old = $given->document->first('body') ?? throw new \LogicException('A parsed page has a body.');
        $new = $page->document->first('body') ?? throw new \LogicException('A parsed page has a body.');
        $this->match = TreeMatch::between($old, $new, fn (Element $one) => ! $this->hasToStay($one));
        $this->wanted = self::byBlock(
            PlacedWord::allIn($old, $given->file->bytes, fn (Element $around) => $this->hasToStay($around)),
        );
        $this->written = self::byBlock(
            PlacedWord::allIn($new, $page->file->bytes, fn (Element $around) => ! $this->isReplaced($around)),
        );
        $kept = $this->keptIn($old);
        $this->isMoved = MovedElements::among($kept, $page, $this->match);
        foreach ($kept as $element) {
            $there = $this->match->newOf($element);
            $fault = $there === null ? null : $this->faultOfText($element, $there);
            if ($fault !== null) {
                $this->textFaults[spl_object_id($element)] = $fault;
            }
            $block = $there === null ? self::blockAround($element) : null;
            if ($block !== null && isset($this->textFaults[spl_object_id($block)])) {
                $this->lostInside[spl_object_id($block)] = 1 + ($this->lostInside[spl_object_id($block)] ?? 0);
            }
        }
    }

    /**
     * @param  string  $mark  the class of what has to change, or a word of a comment right before it
     * @param  bool  $mayAdd  whether more may be written besides
     */
    public static function of(Page $given, Page $page, string $mark, bool $mayAdd): self
    {
        $comparison = new self($given, $page, StarterPassage::markedOn($given, $mark));
        $kept = $comparison->keptIn($given->document->first('body') ?? $given->elements[0]);
        $passages = array_filter(StarterPassage::allOn($given, $mark), fn (StarterPassage $one) => $one->isMarked);
        foreach ($passages as $nth => $passage) {
            $comparison->replacement($passage, $nth);
        }
        foreach ($comparison->emptied as $emptied) {
            $comparison->slips[] = StarterSlip::emptied(...$emptied);
        }
        $title = $given->title();
        $hasTitle = $title !== null && $comparison->hasToStay($title);
        if ($hasTitle) {
            $comparison->keepTitle($title);
        }
        foreach ($kept as $element) {
            $comparison->keep($element);
        }
        foreach ($mayAdd ? [] : Walk::elements($page->document->first('body') ?? $page->document) as $element) {
            $comparison->refuse($element);
        }

        $comparison->marked = count($passages);
        $comparison->kept = count($kept) + (int) $hasTitle;

        return $comparison;
    }

    /**
     * Where something was taken out of a page and nothing written in its place; null where something is there.
     *
     * @param  Element  $old  of the starter file
     */
    public static function placeOfEmptied(Page $given, Page $page, Element $old): ?Element
    {
        $marked = [];
        foreach ([$old, ...Walk::elements($old)] as $element) {
            $marked[spl_object_id($element)] = true;
        }

        return (new self($given, $page, $marked))->placeIfEmpty($old);
    }

    /** How many places of the page have to be as asked. */
    public function places(): int
    {
        return $this->marked + $this->kept;
    }

    /** How many of them are not. */
    public function wrongPlaces(): int
    {
        return min($this->places(), array_sum(array_map(fn (StarterSlip $slip) => $slip->cost, $this->slips)));
    }

    /** What a slip costs of the page, above 0 and at most 1. */
    public function costOf(StarterSlip $slip): float
    {
        $marked = match (0) {
            $this->kept => 1.0,
            $this->marked => 0.0,
            default => self::MARKED,
        };

        return min(1.0, $slip->isReplacement()
            ? $slip->cost * $marked / max(1, $this->marked)
            : $slip->cost * (1 - $marked) / max(1, $this->kept));
    }

    /** Whether an element of the starter file has to stay as it is. */
    private function hasToStay(Element $element): bool
    {
        return ! isset($this->isMarked[spl_object_id($element)]);
    }

    /** @return list<Element> what has to stay of an element of the starter file: itself and all in it */
    private function keptIn(Element $element): array
    {
        return array_values(array_filter([$element, ...Walk::elements($element)], $this->hasToStay(...)));
    }

    /** Whether an element of the page stands where something was to be replaced. */
    private function isReplaced(Element $element): bool
    {
        for ($around = $element; $around instanceof Element; $around = $around->parent) {
            $old = $this->match->oldOf($around);
            if ($old !== null) {
                return ! $this->hasToStay($old);
            }
        }

        return false;
    }

    /**
     * @param  list<PlacedWord>  $words
     * @return array<int, list<PlacedWord>>
     */
    private static function byBlock(array $words): array
    {
        $blocks = [];
        foreach ($words as $word) {
            $blocks[spl_object_id($word->block)][] = $word;
        }

        return $blocks;
    }

    private function replacement(StarterPassage $passage, int $nth): void
    {
        $old = $passage->element;
        $new = $passage->kind === 'title' ? $this->page->title() : $this->match->newOf($old);
        if ($new !== null && $passage->isOn($new)) {
            $shown = $passage->text === '' ? "the empty `<$old->name>`" : $passage->text;
            $this->slips[] = StarterSlip::unchanged($new, $shown, $nth);

            return;
        }
        $outermost = $old;
        while ($outermost->parent instanceof Element && ! $this->hasToStay($outermost->parent)) {
            $outermost = $outermost->parent;
        }
        if ($passage->text === '' || $passage->kind === 'title') {
            return;
        }
        $place = $this->placeIfEmpty($outermost);
        $gone = $place !== null ? $outermost : $old;
        $place ??= $this->isTakenOut($old, $outermost) ? $new ?? $this->placeFor($old) : null;
        if ($place !== null) {
            $words = ReadableText::inOneLine($gone);
            [, , $many] = $this->emptied[spl_object_id($gone)] ?? [null, '', 0];
            $this->emptied[spl_object_id($gone)] = [$place, $words === '' ? $passage->text : $words, $many + 1];
        }
    }

    /**
     * Whether one passage of a larger part that was to be replaced is gone or blank, with nothing in its place: a cell
     * of a row that is still there, or anything where the part has no word of the student's own.
     */
    private function isTakenOut(Element $old, Element $outermost): bool
    {
        $new = $this->match->newOf($old);
        if ($new !== null) {
            return self::isBlank($new);
        }
        $there = $this->match->newOf($outermost);
        $isInRow = self::isCell($old) && $this->match->newOf($old->parent) !== null;
        if ($isInRow && $there !== null && self::cellsIn($there) < self::cellsIn($outermost)) {
            return true;
        }

        return $there !== null && array_diff(
            PlacedWord::split(ReadableText::of($there)),
            PlacedWord::split(ReadableText::of($outermost)),
        ) === [];
    }

    private static function isCell(Element $element): bool
    {
        return $element->name === 'td' || $element->name === 'th';
    }

    private static function cellsIn(Element $element): int
    {
        return count(array_filter([...Walk::elements($element)], self::isCell(...)));
    }

    private function placeIfEmpty(Element $old): ?Element
    {
        $there = $this->match->newOf($old);
        $isEmpty = $there === null ? ! $this->hasLooseText($old) : self::isBlank($there);

        return $isEmpty ? $there ?? $this->placeFor($old) : null;
    }

    /** Whether an element shows nothing. */
    private static function isBlank(Element $element): bool
    {
        $shows = fn (Element $one) => in_array($one->name, self::SHOWS, true);

        return $element->words() === '' && array_filter([$element, ...Walk::elements($element)], $shows) === [];
    }

    /** Whether the page has text of its own where an element of the starter file was. */
    private function hasLooseText(Element $old): bool
    {
        $parent = $this->placeFor($old, false);
        $isText = fn (mixed $node) => $node instanceof TextNode && ! $node->isBlank();

        return array_filter($parent->children, $isText) !== []
            && array_filter($old->parent->children ?? [], $isText) === [];
    }

    /** Where an element of the starter file would stand on the page: the element before it, or the one around it. */
    private function placeFor(Element $old, bool $canBeBefore = true): Element
    {
        $around = $old->parent;
        $before = null;
        foreach ($canBeBefore ? $around?->elements() ?? [] : [] as $sibling) {
            if ($sibling === $old) {
                break;
            }
            $before = $this->match->newOf($sibling) ?? $before;
        }
        if ($before !== null) {
            return $before;
        }
        while ($around instanceof Element && $this->match->newOf($around) === null) {
            $around = $around->parent;
        }

        return $this->match->newOf($around) ?? $this->page->elements[0];
    }

    private function keepTitle(Element $old): void
    {
        $new = $this->page->title();
        if ($new?->words() !== $old->words()) {
            $words = English::excerpt($old->words(), 60);
            $this->slips[] = new StarterSlip(
                $new === null ? 'lost' : 'changed',
                ProofMark::Change,
                $new ?? $this->page->document->first('head') ?? $this->page->elements[0],
                $new === null
                    ? "The title “{$words}” of the starter file is gone."
                    : "The title of the starter file is “{$words}”, not “".English::excerpt($new->words(), 60).'”.',
                "Type `<title>$words</title>`.",
            );
        }
    }

    private function keep(Element $old): void
    {
        $new = $this->match->newOf($old);
        if ($new === null) {
            $this->lose($old);

            return;
        }
        $faults = [
            ...StarterSlip::faultsOfTag($old, $new),
            ...array_filter([$this->textFaults[spl_object_id($old)] ?? null]),
            ...(isset($this->isMoved[spl_object_id($old)]) ? [$this->faultOfPlace($old)] : []),
        ];
        if ($faults !== []) {
            $this->slips[] = StarterSlip::changed($new, $faults, 1 + ($this->lostInside[spl_object_id($old)] ?? 0));
        }
    }

    private function lose(Element $old): void
    {
        $parent = $old->parent;
        $isWithin = $parent instanceof Element && $this->hasToStay($parent) && $this->match->newOf($parent) === null;
        if ($isWithin || $this->isToldWithWords($old)) {
            return;
        }
        $all = $this->keptIn($old);
        $gone = array_filter($all, fn (Element $one) => $this->match->newOf($one) === null);
        $isOnlyAround = count($gone) < count($all) || self::blockAround($old) !== null;
        $words = English::excerpt($old->words(), 60);
        $tag = StarterSlip::tag($old);
        $this->slips[] = new StarterSlip(
            'lost',
            ProofMark::Insert,
            $this->placeFor($old),
            ($words === '' || $isOnlyAround ? "`$tag`" : "“{$words}”")
                .' of the starter file is gone; the brief asks you to keep it.',
            $isOnlyAround ? "Put `$tag` and `</$old->name>` back." : 'Copy it back from the starter file.',
            "lost:{$old->path()}",
            count($gone),
        );
    }

    /** The block of an element within a line; null for one with lines of its own. */
    private static function blockAround(Element $element): ?Element
    {
        if (ReadableText::isApart($element)) {
            return null;
        }
        $around = $element->parent;
        while ($around instanceof Element && ! ReadableText::isApart($around)) {
            $around = $around->parent;
        }

        return $around;
    }

    /** Whether an element of the starter file stands within lines whose words differ, or would. */
    private function isToldWithWords(Element $old): bool
    {
        $block = self::blockAround($old);

        return $block !== null && isset($this->textFaults[spl_object_id($block)]);
    }

    /** Null where a block has the words that it should have. */
    private function faultOfText(Element $old, Element $new): ?StarterFault
    {
        $wanted = array_map(fn (PlacedWord $word) => $word->text, $this->wanted[spl_object_id($old)] ?? []);
        $written = $this->written[spl_object_id($new)] ?? [];
        $plain = array_map(PlacedWord::plain(...), $wanted);
        if ($plain === array_map(fn (PlacedWord $word) => $word->plain, $written)) {
            return null;
        }
        $gaps = $wanted === [] ? [WordGap::extra($written)] : self::gaps($wanted, $plain, $written);
        if ($gaps === []) {
            $shown = English::excerpt(implode(' ', $wanted), 120);

            return new StarterFault("The starter file says “{$shown}” here.", "Type “{$shown}”.");
        }
        $more = count($gaps) - 1;

        return new StarterFault(
            $gaps[0]->message(self::WHOSE)
                .($more > 0 ? ' It differs in '.English::count($more, 'more place').'.' : ''),
            $gaps[0]->remedy(),
            $gaps[0]->span(),
        );
    }

    /**
     * @param  list<string>  $wanted
     * @param  list<string>  $plain  the same, as they are compared
     * @param  list<PlacedWord>  $written
     * @return list<WordGap> none where the page has another text altogether
     */
    private static function gaps(array $wanted, array $plain, array $written): array
    {
        $alignment = WordAlignment::of([$plain], $written, self::ALIKE);
        $matches = $alignment->ofParagraph(0);

        return $matches === [] ? [] : WordGap::allIn($wanted, $matches, $written, $alignment->isTaken);
    }

    private function faultOfPlace(Element $old): StarterFault
    {
        $before = null;
        foreach ($old->parent?->elements() ?? [] as $sibling) {
            if ($sibling === $old) {
                break;
            }
            $before = $sibling;
        }
        $around = $old->parent->name ?? 'body';
        $words = English::excerpt($before?->words() ?? '', 40);
        $where = match (true) {
            $before === null => "to the start of `<$around>`",
            $words === '' => "to after `<$before->name>`, in `<$around>`",
            default => "to after “{$words}”, in `<$around>`",
        };

        return new StarterFault('The starter file has this in another place.', "Move it $where.");
    }

    /** What is on the page and not in the starter file, but for more where something was to be replaced. */
    private function refuse(Element $new): void
    {
        $parent = $new->parent;
        $isTold = $parent instanceof Element && $this->match->oldOf($parent) === null;
        if ($this->match->oldOf($new) !== null || $isTold || $this->isReplaced($new)) {
            return;
        }
        $isKnown = fn (Element $one) => $this->match->oldOf($one) !== null;
        $isAround = array_filter([...Walk::elements($new)], $isKnown) !== [];
        if (! $isAround && $this->isBesideReplaced($new)) {
            return;
        }
        $block = $this->match->oldOf(self::blockAround($new));
        if ($block !== null && isset($this->textFaults[spl_object_id($block)])) {
            return;
        }
        $this->slips[] = new StarterSlip(
            'added',
            ProofMark::TakeOut,
            $new,
            '`'.StarterSlip::tag($new).'` is not in the starter file.',
            $isAround ? "Remove its tags, `<$new->name>` and `</$new->name>`." : 'Remove it.',
        );
    }

    /** Whether only elements that are new stand between it and one that was to be replaced. */
    private function isBesideReplaced(Element $new): bool
    {
        $parent = $new->parent;
        if ($parent === null) {
            return false;
        }
        $this->besideReplaced[spl_object_id($parent)] ??= $this->childrenBesideReplaced($parent);

        return isset($this->besideReplaced[spl_object_id($parent)][spl_object_id($new)]);
    }

    /** @return array<int, true> by id */
    private function childrenBesideReplaced(Element $parent): array
    {
        $found = [];
        foreach ([$parent->elements(), array_reverse($parent->elements())] as $children) {
            $isBeside = false;
            foreach ($children as $child) {
                $old = $this->match->oldOf($child);
                $isBeside = $old === null ? $isBeside : ! $this->hasToStay($old);
                if ($isBeside) {
                    $found[spl_object_id($child)] = true;
                }
            }
        }

        return $found;
    }
}
