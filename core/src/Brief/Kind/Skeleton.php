<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Comparison\SkeletonPart;
use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\LostTag;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;

/** The parts every page has, in order, each with the parts inside it. */
final readonly class Skeleton extends Requirement implements NamesThings, SpeaksForItself
{
    /** @param  list<SkeletonPart>  $parts  inside `body` */
    public function __construct(Terms $terms, public array $parts)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'skeleton';
    }

    public static function about(): string
    {
        return 'The parts that every page has, in order and nested.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/skeleton',
            'Wrong page structure',
            Weight::Departure,
            ProofMark::Insert,
            'A part that the brief asks for is missing, out of order, or inside another part.',
            'The brief says which parts a page has and in which order. Styles, scripts and screen '
                .'readers rely on that structure.',
            Citation::brief(),
            ['markup/unclosed-element', 'markup/stray-end-tag'],
        );
    }

    public static function fields(): array
    {
        return [Field::parts(
            'parts',
            'selectors, with `,` between alternatives; `header: [h1]` for a part with parts inside it',
        )];
    }

    public static function variants(): array
    {
        return array_fill_keys(['missing', 'order', 'inside'], 'brief/skeleton');
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $parts = SkeletonPart::readList($fields->value('parts') ?? [], $fields);
        if ($parts === [] && $fields->has('parts')) {
            $fields->problem('parts', 'at least one part is needed, such as header, nav, main, footer');
        }

        return new self($terms, $parts);
    }

    public function sentence(): string
    {
        $order = count($this->parts) > 1 ? ', in that order' : '';

        return "{$this->terms->pages->sentence()} has ".SkeletonPart::sentence($this->parts)."$order.";
    }

    public function named(string $what): array
    {
        return $what === 'element'
            ? array_merge(...array_map(fn (SkeletonPart $part) => $part->elementNames(), $this->parts))
            : [];
    }

    public function assess(ParsedSite $site): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $shortfalls = [];
        foreach ($pages as $page) {
            $body = $page->document->first('body') ?? $page->document->first('html');
            if ($body !== null) {
                $shortfalls = [...$shortfalls, ...$this->in($body, $this->parts, $page)];
            }
        }

        return Assessment::ofPages(count($pages), $shortfalls, SkeletonPart::sentence($this->parts));
    }

    /**
     * @param  list<SkeletonPart>  $parts
     * @return list<Shortfall>
     */
    private function in(Element $parent, array $parts, Page $page): array
    {
        $elements = array_map(fn (SkeletonPart $part) => $part->firstIn($parent, $page->matching), $parts);
        $inOrder = self::inOrder($elements);
        $shortfalls = [];
        /** @var list<Element> $found */
        $found = [];
        $before = null;
        foreach ($parts as $at => $part) {
            $element = $elements[$at];
            $last = end($found) ?: null;
            if ($element === null) {
                $shortfalls[] = $this->missing($part, $parent, $last, $page);

                continue;
            }
            $around = self::around($element, $found);
            if ($around !== null) {
                $shortfalls[] = $this->inside($part, $element, $around, $page);
            } elseif (! isset($inOrder[$at])) {
                $later = array_filter($inOrder, fn (int $place) => $place > $at, ARRAY_FILTER_USE_KEY);
                $next = reset($later) ?: $element;
                $place = $before === null ? "before `<{$next->name}>`" : "after `</{$before->name}>`";
                $shortfalls[] = $this->outOfOrder($part, $element, $last, $next, $place, $page);
            } else {
                $found[] = $element;
            }
            $before = $element;
            $shortfalls = [...$shortfalls, ...$this->in($element, $part->parts, $page)];
        }

        return $shortfalls;
    }

    /**
     * As many as possible that stand one after the other: the rest of them have to move, and no others.
     *
     * @param  list<Element|null>  $elements  in the order of the brief
     * @return array<int, Element> by their place in the brief
     */
    private static function inOrder(array $elements): array
    {
        $longest = [];
        foreach (array_reverse($elements, true) as $at => $element) {
            if ($element === null) {
                continue;
            }
            $rest = [];
            foreach ($longest as $next => $chain) {
                if ($chain[$next]->place()->start >= $element->place()->start && count($chain) >= count($rest)) {
                    $rest = $chain;
                }
            }
            $longest[$at] = [$at => $element] + $rest;
        }

        return self::longestOf($longest);
    }

    /**
     * @param  array<int, array<int, Element>>  $chains
     * @return array<int, Element>
     */
    private static function longestOf(array $chains): array
    {
        $best = [];
        foreach ($chains as $chain) {
            if (count($chain) >= count($best)) {
                $best = $chain;
            }
        }

        return $best;
    }

    /** @param  list<Element>  $parts */
    private static function around(Element $element, array $parts): ?Element
    {
        for ($above = $element->parent; $above instanceof Element; $above = $above->parent) {
            if (in_array($above, $parts, true)) {
                return $above;
            }
        }

        return null;
    }

    private function missing(SkeletonPart $part, Element $parent, ?Element $after, Page $page): Shortfall
    {
        $where = self::isBody($parent) ? 'This page' : "This `<{$parent->name}>`";
        $inside = "`<{$parent->name}>`";
        $place = match (true) {
            $after !== null => $after->place(),
            self::isBody($parent) => $page->bodyPlace(),
            default => $parent->place(),
        };

        return Shortfall::of(
            Draft::onPage($page, $place, "{$parent->path()}!{$part->written}")
                ->variant('missing')
                ->mark(ProofMark::Insert)
                ->says("$where has no {$part->shown()}; the brief asks for one.")
                ->remedy($after === null ? "Add it at the start of $inside." : "Add it after the `<{$after->name}>`.")
                ->about(Subject::page($page->path())."!{$part->written}")
                ->causedBy(...LostTag::of($page, $part->selector)),
        )->slips(...$this->slips($part, $parent, $page));
    }

    private static function isBody(Element $element): bool
    {
        return in_array($element->name, ['body', 'html'], true);
    }

    /** @return list<string> */
    private function slips(SkeletonPart $part, Element $parent, Page $page): array
    {
        $elsewhere = self::isBody($parent) ? null : $part->firstOn($page);

        return $elsewhere === null
            ? SlipName::lack($page, $part->written)
            : [SlipName::outside($page, $elsewhere)];
    }

    /**
     * @param  Element|null  $last  the part in order that it is to follow
     * @param  Element  $next  the part in order that is to follow it
     * @param  string  $place  where to move it
     */
    private function outOfOrder(
        SkeletonPart $part,
        Element $element,
        ?Element $last,
        Element $next,
        string $place,
        Page $page,
    ): Shortfall {
        $isEarly = $last !== null && $element->place()->start < $last->place()->start;
        $other = $isEarly ? $last : $next;

        return $this->wrong(
            'order',
            $part,
            $element,
            $page,
            $isEarly
                ? "{$part->shown()} comes before `<{$other->name}>`; the brief asks for it after."
                : "{$part->shown()} comes after `<{$other->name}>`; the brief asks for it before.",
            "Move the whole `<{$element->name}>` to $place.",
            [SlipName::outside($page, $element), SlipName::outside($page, $other)],
        );
    }

    private function inside(SkeletonPart $part, Element $element, Element $around, Page $page): Shortfall
    {
        return $this->wrong(
            'inside',
            $part,
            $element,
            $page,
            "{$part->shown()} is inside `<{$around->name}>`; the brief asks for it after `</{$around->name}>`.",
            "Close `<{$around->name}>` with `</{$around->name}>` before this tag.",
            [SlipName::outside($page, $element)],
        );
    }

    /** @param  list<string>  $slips */
    private function wrong(
        string $variant,
        SkeletonPart $part,
        Element $element,
        Page $page,
        string $message,
        string $remedy,
        array $slips,
    ): Shortfall {
        $draft = Draft::at($page, $element)
            ->anchored("!{$part->written}")
            ->variant($variant)
            ->mark(ProofMark::Move)
            ->says($message)
            ->remedy($remedy);

        return Shortfall::of($draft)->slips(...$slips);
    }
}
