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
     * @param  iterable<Element>  $elements  those that are asked about
     * @param  array<int, list<Declaration>>  $inline  of `style` attributes, by the object id of the element
     */
    public function __construct(
        Document $document,
        iterable $elements,
        private readonly Decisions $decisions,
        private readonly array $inline,
        private readonly Matching $matching,
    ) {
        $browser = Defaults::rules($matching->isQuirky);
        $body = $document->first('body');
        foreach ($elements as $element) {
            $this->style($element, $browser, $body);
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

    private function style(Element $element, RuleIndex $browser, ?Element $body): void
    {
        $id = spl_object_id($element);
        $matched = [];
        $key = '';
        foreach ([$browser, $this->decisions->index] as $index) {
            foreach ($index->matching($element, $this->matching) as $entry) {
                if ($entry[2]->pseudoElement === null) {
                    $matched[] = $entry;
                    $key .= spl_object_id($entry[2]).' ';
                }
            }
        }
        $hints = Defaults::hints($element, $body);
        $inline = $this->inline[$id] ?? [];
        if ($hints !== [] || $inline !== []) {
            $key .= "#$id";
        }
        $this->keys[$id] = $key;
        $this->applied[$id] = $this->decisions->on($key, $matched, $hints, $inline);
    }
}
