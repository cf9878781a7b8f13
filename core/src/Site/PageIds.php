<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Source\TextMap;

/** The elements of a page by their ids, and its image maps by their names. */
final readonly class PageIds
{
    /**
     * @param  TextMap<Element>  $ids  the first of each
     * @param  TextMap<Element>  $maps
     */
    private function __construct(private TextMap $ids, private TextMap $maps)
    {
    }

    public static function of(Page $page): self
    {
        /** @var TextMap<Element> $ids */
        $ids = new TextMap;
        foreach ($page->document->elements() as $element) {
            $id = $element->value('id') ?? '';
            if ($id !== '' && ! $ids->has($id)) {
                $ids->put($id, $element);
            }
        }
        /** @var TextMap<Element> $maps */
        $maps = new TextMap;
        foreach ($page->named('map') as $map) {
            $maps->put($map->value('name') ?? '', $map);
        }

        return new self($ids, $maps);
    }

    public function element(string $id): ?Element
    {
        return $this->ids->get($id);
    }

    public function count(): int
    {
        return count($this->ids);
    }

    public function map(string $name): ?Element
    {
        return $this->maps->get($name);
    }

    /**
     * @param  \Closure(Element): bool  $isIt
     * @return list<string> the ids of elements of a kind
     */
    public function ofKind(\Closure $isIt): array
    {
        $ids = [];
        foreach ($this->ids as $id => $element) {
            if ($isIt($element)) {
                $ids[] = $id;
            }
        }

        return $ids;
    }

    /** @return list<string> */
    public function mapNames(): array
    {
        $names = [];
        foreach ($this->maps as $name => $map) {
            $names[] = $name;
        }

        return $names;
    }
}
