<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Style\Selector\Matching;
use InkedMargin\Core\Style\Selector\SelectorError;
use InkedMargin\Core\Style\Selector\SelectorList;

/** One part of a skeleton, such as `header` or `div#header`, with the parts that stand in it. */
final readonly class SkeletonPart
{
    private const DEEPEST = 20;

    /** @param  list<SkeletonPart>  $parts */
    public function __construct(public string $written, public SelectorList $selector, public array $parts)
    {
    }

    /**
     * A list of parts: `header` (a selector, with `,` between alternatives) or `header: [h1]`.
     *
     * @return list<self>
     */
    public static function readList(mixed $list, Fields $fields, int $depth = 0): array
    {
        if ($depth > self::DEEPEST) {
            $fields->problem('parts', 'parts are nested deeper than '.self::DEEPEST.' levels');

            return [];
        }
        $parts = [];
        foreach (is_array($list) ? $list : [$list] as $name => $item) {
            if (is_array($item) && is_int($name)) {
                $parts = [...$parts, ...self::readList($item, $fields, $depth + 1)];

                continue;
            }
            [$written, $inside] = is_int($name) ? [$item, []] : [$name, $item];
            if (! is_string($written) || $written === '') {
                $fields->problem('parts', 'a list of parts was expected, each a selector');

                continue;
            }
            try {
                $parts[] = new self(
                    $written,
                    Fields::steady($written),
                    $inside === [] ? [] : self::readList($inside, $fields, $depth + 1),
                );
            } catch (SelectorError $error) {
                $fields->problem('parts', $error->getMessage());
            }
        }

        return $parts;
    }

    /** @param  list<SkeletonPart>  $parts */
    public static function sentence(array $parts): string
    {
        return English::list(array_map(
            fn (self $part) => $part->shown()
                .($part->parts === [] ? '' : ' (with '.self::sentence($part->parts).' inside)'),
            $parts,
        ));
    }

    /** As a sentence names it: `header` or `div#header`. */
    public function shown(): string
    {
        $alternatives = array_map(fn (string $one) => '`'.trim($one).'`', explode(',', $this->written));

        return English::list($alternatives, 'or');
    }

    /** @return list<string> */
    public function elementNames(): array
    {
        return array_merge(
            $this->selector->elementNames(),
            ...array_map(fn (self $part) => $part->elementNames(), $this->parts),
        );
    }

    public function firstOn(Page $page): ?Element
    {
        return $this->selector->all($page->document)[0] ?? null;
    }

    public function firstIn(Element $parent, Matching $matching): ?Element
    {
        foreach (Walk::elements($parent) as $element) {
            if ($this->selector->matches($element, $matching)) {
                return $element;
            }
        }

        return null;
    }
}
