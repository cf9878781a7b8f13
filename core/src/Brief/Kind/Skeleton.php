<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

/** The parts every page has, in order, each with the parts inside it. */
final readonly class Skeleton extends Requirement
{
    /** @param  list<Part>  $parts inside `body` */
    public function __construct(Terms $terms, public array $parts)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'skeleton';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $parts = Part::readList($fields->value('parts'), $fields);
        if ($parts === []) {
            $fields->problem('parts', 'at least one part is needed, such as header, nav, main, footer');
        }

        return new self($terms, $parts);
    }

    public function sentence(): string
    {
        return $this->terms->pages->sentence().' has '.Part::sentence($this->parts).(count($this->parts) > 1 ? ', in that order.' : '.');
    }

    public function judge(SiteReading $reading): Judgement
    {
        $pages = $this->terms->pages->of($reading);
        $good = array_filter($pages, fn (Page $page) => $this->gaps($page) === []);

        return Judgement::pages(count($good), count($pages), Part::sentence($this->parts));
    }

    /** @return list<Gap> */
    public function gaps(Page $page): array
    {
        $body = $page->document->first('body');
        if ($body === null) {
            return [new Gap('body', null, GapKind::Missing, $page->document->first('html'))];
        }

        return self::gapsIn($body, $this->parts);
    }

    /**
     * @param  list<Part>  $parts
     * @return list<Gap>
     */
    private static function gapsIn(Element $parent, array $parts): array
    {
        $gaps = [];
        /** @var list<Element> $found */
        $found = [];
        foreach ($parts as $part) {
            $element = $part->firstIn($parent);
            if ($element === null) {
                $gaps[] = new Gap($part->written, end($found) ?: null, GapKind::Missing, $parent);

                continue;
            }
            $around = self::around($element, $found);
            $after = end($found) ?: null;
            if ($around !== null) {
                $gaps[] = new Gap($part->written, $element, GapKind::Inside, $around);
            } elseif ($after !== null && self::startsBefore($element, $after)) {
                $gaps[] = new Gap($part->written, $element, GapKind::OutOfOrder, $after);
            } else {
                $found[] = $element;
            }
            $gaps = [...$gaps, ...self::gapsIn($element, $part->parts)];
        }

        return $gaps;
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

    private static function startsBefore(Element $element, Element $other): bool
    {
        return ($element->startTag()->start ?? 0) < ($other->startTag()->start ?? 0);
    }
}
