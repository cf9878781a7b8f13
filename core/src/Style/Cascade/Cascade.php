<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Style\Selector\Matching;
use InkedMargin\Core\Style\Syntax\Declaration;

/** Which declarations count for each element of a page, the winner of each property first. */
final class Cascade
{
    /** @var array<int, string> by object id of the element: what is told it */
    private array $keys = [];

    /** @var array<int, array<string, list<Applied>>> by object id of the element, then by property */
    private array $applied = [];

    /**
     * @param  iterable<Element>  $elements  those that are asked about, each after all that is around it
     * @param  array<int, list<Declaration>>  $inline  of `style` attributes, by the object id of the element
     */
    public function __construct(
        Document $document,
        iterable $elements,
        public readonly Decisions $decisions,
        private readonly array $inline,
        private readonly Matching $matching,
    ) {
        $body = $document->first('body');
        $standings = [];
        foreach ($elements as $element) {
            $around = $element->parent === null ? 0 : $standings[spl_object_id($element->parent)];
            $standings[spl_object_id($element)] = $this->style($element, $around, $body);
        }
    }

    /** @return list<Applied> what is said of a property of an element, the winner first */
    public function of(Element $element, string $property): array
    {
        return $this->applied[spl_object_id($element)][$property] ?? [];
    }

    /** @return array<string, list<Applied>> by the names of custom properties */
    public function customOf(Element $element): array
    {
        return array_filter(
            $this->applied[spl_object_id($element)] ?? [],
            fn (string $property) => str_starts_with($property, '--'),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /** Elements with the same key are told the same: what one comes to, given its parent, all others do. */
    public function keyOf(Element $element): string
    {
        return $this->keys[spl_object_id($element)];
    }

    /** @return int where the element stands */
    private function style(Element $element, int $around, ?Element $body): int
    {
        $id = spl_object_id($element);
        [$standing, $matched, $key] = $this->decisions->matching($element, $around, $this->matching);
        $hints = Defaults::hints($element, $body);
        $inline = $this->inline[$id] ?? [];
        if ($hints !== [] || $inline !== []) {
            $key .= "#$id";
        }
        $this->keys[$id] = $key;
        $this->applied[$id] = $this->decisions->on($key, $matched, $hints, $inline, $this->matching);

        return $standing;
    }
}
