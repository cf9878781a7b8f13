<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Selector;
use InkedMargin\Core\Markup\SelectorError;
use InkedMargin\Core\Markup\Walk;

/** One part of a skeleton, such as `header` or `div#header`, with the parts that stand in it. */
final readonly class Part
{
    /** @param  list<Part>  $parts */
    public function __construct(public string $written, private Selector $selector, public array $parts)
    {
    }

    /**
     * A list of parts: `header` (a selector, with `,` between alternatives) or `header: [h1]`.
     *
     * @return list<self>
     */
    public static function readList(mixed $list, Fields $fields): array
    {
        $parts = [];
        foreach (is_array($list) ? $list : [$list] as $name => $item) {
            if (is_array($item) && is_int($name)) {
                $parts = [...$parts, ...self::readList($item, $fields)];

                continue;
            }
            [$written, $inside] = is_int($name) ? [$item, []] : [$name, $item];
            if (! is_string($written) || $written === '') {
                $fields->problem('parts', 'a list of parts was expected, each a selector');

                continue;
            }
            try {
                $parts[] = new self($written, Selector::parse($written), $inside === [] ? [] : self::readList($inside, $fields));
            } catch (SelectorError $error) {
                $fields->problem('parts', $error->getMessage());
            }
        }

        return $parts;
    }

    /** @param  list<Part>  $parts */
    public static function sentence(array $parts): string
    {
        $words = array_map(fn (self $part) => str_replace(',', ' or', $part->written).($part->parts === [] ? '' : ' (with '.self::sentence($part->parts).' in it)'), $parts);
        $last = array_pop($words);

        return $words === [] ? (string) $last : implode(', ', $words)." and $last";
    }

    public function firstIn(Element $parent): ?Element
    {
        foreach (Walk::elements($parent) as $element) {
            if ($this->selector->matches($element)) {
                return $element;
            }
        }

        return null;
    }
}
