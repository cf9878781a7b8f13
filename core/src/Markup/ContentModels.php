<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/**
 * Which elements may stand in which, and in which order. Source: core/data/content-models.php, which says where it
 * comes from.
 *
 * A page is gone through once in document order. What an element needs to know of those around it, it has from its
 * parent, so that the cost is linear however deep the page, and places that are alike share one object, which remembers
 * what may be there.
 */
final readonly class ContentModels
{
    /** @var array<string, true> */
    private array $phrasing;

    /** @var array<string, list<string>> by the name of the element that may not stand in these */
    private array $notInside;

    /** @var array<string, true> names that something asks about which is further down */
    private array $remembered;

    /** @var array<string, true> */
    private array $transparent;

    /**
     * @var array<string, array<string, int>> the stage of a child's name, by the name of the element; `*` for all
     *     others
     */
    private array $stages;

    /** @var array<string, true> names of elements that not everything may be a child of, or not in every order */
    private array $choosy;

    /**
     * @param  array{phrasing: list<string>, interactiveWith: array<string, string>, scriptSupporting: list<string>,
     *     transparent: list<string>, phrasingOnly: list<string>, alsoHeadings: list<string>, only: array<string,
     *     list<string>>, parents: array<string, list<string>>, within: array<string, list<string>>,
     *     ancestors: array<string, list<string>>, without: array<string, list<string>>, order: array<string,
     *     list<list<string>>>, once: array<string, list<string>>, ends: array<string, list<string>>,
     *     bodyOk: list<string>}  $data
     */
    private function __construct(private array $data)
    {
        $this->phrasing = array_fill_keys($data['phrasing'], true);
        $this->notInside = self::notInside($data['without']);
        $this->stages = self::stages($data['order']);
        $this->transparent = array_fill_keys($data['transparent'], true);
        $this->choosy = array_fill_keys(
            [...array_keys($data['only']), ...array_keys($data['order']), ...array_keys($data['once'])],
            true,
        );
        $this->remembered = array_fill_keys(
            [...array_keys($data['without']), ...array_merge(...array_values($data['within']))],
            true,
        );
    }

    /**
     * @param  array<string, list<string>>  $without the names that each element may not hold
     * @return array<string, list<string>>
     */
    private static function notInside(array $without): array
    {
        $notInside = [];
        foreach ($without as $around => $names) {
            foreach ($names as $name) {
                $notInside[$name][] = $around;
            }
        }

        return $notInside;
    }

    /**
     * @param  array<string, list<list<string>>>  $order names by the group that they stand in, for each parent
     * @return array<string, array<string, int>>
     */
    private static function stages(array $order): array
    {
        $stages = [];
        foreach ($order as $name => $groups) {
            foreach ($groups as $stage => $names) {
                $stages[$name] = ($stages[$name] ?? []) + array_fill_keys($names, $stage);
            }
        }

        return $stages;
    }

    public static function load(): self
    {
        static $model = null;

        return $model instanceof self ? $model : $model = new self(require __DIR__.'/../../data/content-models.php');
    }

    /** Whether an element may stand among text (3.2.5.2.5); the others are blocks. */
    public function isPhrasing(string $name): bool
    {
        return isset($this->phrasing[$name]);
    }

    /** @return list<Misplaced> in document order, one for a node at most */
    public function misplaced(Document $document): array
    {
        /** @var array<int, Surroundings> $inside what is around the children of an element, by its object id */
        $inside = [];
        $outside = new Surroundings;
        $found = [];
        foreach ($document->elements() as $element) {
            $parent = $element->parent;
            $name = $element->name;
            $around = $parent === null ? $outside : $inside[spl_object_id($parent)];
            if ($element->children !== []) {
                $inside[spl_object_id($element)] = $around->inside($element, $this);
            }
            if ($element->namespace !== NodeNamespace::Html) {
                continue;
            }
            // Of a name in the same surroundings, most are right: those need no second look.
            $isFine = isset($around->fine[$name])
                && ($around->interactive === null || ! isset($element->attributes['tabindex']));
            if (! $isFine && $parent !== null && $parent->namespace === NodeNamespace::Html && $element->isWritten()) {
                $misplaced = $this->misplacedIn($around, $element, $parent);
                if ($misplaced !== null) {
                    $found[] = $misplaced;
                }
            }
            if (isset($this->choosy[$name])) {
                array_push($found, ...$this->children($element));
            }
        }

        return $found;
    }

    /** Whether what may be inside an element is what may be around it (3.2.5.3). */
    public function isTransparent(string $name): bool
    {
        return isset($this->transparent[$name]);
    }

    /** Whether some element may not, or has to, be anywhere inside one of this name. */
    public function isRemembered(string $name): bool
    {
        return isset($this->remembered[$name]);
    }

    /** Whether a `main` may be inside an element of this name (4.4.14). */
    public function mayHoldMain(string $name): bool
    {
        return in_array($name, $this->data['ancestors']['main'], true) || str_contains($name, '-');
    }

    private function misplacedIn(Surroundings $around, Element $element, Element $parent): ?Misplaced
    {
        $name = $element->name;
        $misplaced = $this->fromParent(
            $element,
            $parent,
            $around,
        ) ?? $this->fromAbove($element, $around) ?? $this->fromMetadata($element);
        $mayBeRefused = array_intersect_key(array_flip($this->notInside[$name] ?? []), $around->names) !== [];
        $isForHead = ($this->data['parents'][$name][0] ?? '') === 'head' || $name === 'meta';
        if ($misplaced === null && ! $mayBeRefused && ! $isForHead) {
            $around->fine[$name] = true;
        }

        return $misplaced;
    }

    private function fromParent(Element $element, Element $parent, Surroundings $around): ?Misplaced
    {
        $opaque = $around->opaque;
        if ($opaque === '' || $opaque === 'template') {
            return null;
        }
        $parents = $this->data['parents'][$element->name] ?? null;
        $isForHead = ($parents[0] ?? '') === 'head';
        if ($parents !== null && ! in_array($opaque, $parents, true) && ! in_array($parent->name, $parents, true)
            && ! ($isForHead && $this->isStrayed($parent))) {
            return new Misplaced(
                $element,
                $isForHead ? MisplacedKind::Metadata : MisplacedKind::NeedsParent,
                array_slice($parents, 0, 2),
            );
        }
        $only = $this->data['only'][$opaque] ?? null;
        // What is in a link that is in a list is reported with the link.
        $isDirect = ! $this->isTransparent($parent->name);
        if ($only !== null && $isDirect && ! in_array(
            $element->name,
            [...$only, ...$this->data['scriptSupporting']],
            true,
        )) {
            return new Misplaced($element, MisplacedKind::NotAChild, array_slice($only, 0, 2));
        }
        $isBlock = ! isset($this->phrasing[$element->name])
            && $parents === null
            && ElementTable::load()->knows($element->name)
            && ! str_contains($element->name, '-') && ElementTable::load()->insteadOf($element->name) === null;
        if (! $isBlock || ! in_array($opaque, $this->data['phrasingOnly'], true)) {
            return null;
        }

        return in_array($opaque, $this->data['alsoHeadings'], true)
            && preg_match('/^h(?:[1-6]|group)$/', $element->name) === 1
            ? null
            : new Misplaced($element, MisplacedKind::BlockInPhrase, [$opaque]);
    }

    private function fromAbove(Element $element, Surroundings $around): ?Misplaced
    {
        foreach ($this->isRefused($element) ? $this->notInside[$element->name] ?? [] : [] as $name) {
            if (isset($around->names[$name])) {
                return new Misplaced($element, MisplacedKind::Nested, [$name]);
            }
        }
        if ($around->interactive !== null && $element->attribute('tabindex') !== null) {
            return new Misplaced($element, MisplacedKind::Nested, [$around->interactive]);
        }
        if ($element->name === 'main' && $around->barrier !== null) {
            return new Misplaced($element, MisplacedKind::Nested, [$around->barrier]);
        }
        $within = $this->data['within'][$element->name] ?? [];

        return $within === [] || array_intersect_key(array_flip($within), $around->names) !== []
            ? null
            : new Misplaced($element, MisplacedKind::NeedsParent, array_slice($within, 0, 1));
    }

    /**
     * Whether an element is of the kind that another may not hold: a link without `href` or a hidden field is not
     * interactive.
     */
    private function isRefused(Element $element): bool
    {
        $with = $this->data['interactiveWith'][$element->name] ?? null;
        if ($with !== null && ! in_array($element->name, ['audio', 'video'], true)) {
            return $element->attribute($with) !== null;
        }

        return $element->name !== 'input' || strtolower($element->value('type') ?? '') !== 'hidden';
    }

    /** 4.2.4, 4.2.5: a `link` or `meta` in the body. */
    private function fromMetadata(Element $element): ?Misplaced
    {
        $parent = $element->parent;
        if (! in_array($element->name, ['link', 'meta'], true) || $parent === null) {
            return null;
        }
        $isItem = ($element->attribute('itemprop') ?? $element->attribute('property')) !== null;
        if ($isItem || in_array($parent->name, ['head', 'noscript', 'template'], true) || $this->isStrayed($parent)) {
            return null;
        }
        $types = preg_split('/\s+/', strtolower(trim($element->value('rel') ?? ''))) ?: [];

        return $element->name === 'link' && array_diff($types, $this->data['bodyOk']) === []
            ? null
            : new Misplaced($element, MisplacedKind::Metadata, ['head']);
    }

    /**
     * Whether what is in `$parent` was written for the head, and is in the body only because something else had ended
     * the head.
     */
    private function isStrayed(Element $parent): bool
    {
        for ($above = $parent; $above !== null && $above->name !== 'body'; $above = $above->parent) {
            if ($above->isWritten()) {
                return false;
            }
        }

        return $above?->isWritten() === false;
    }

    /** @return list<Misplaced> what the children of an element are not, one by one or in their order */
    private function children(Element $element): array
    {
        $name = $element->name;
        $text = isset($this->data['only'][$name]) ? $this->textIn($element) : [];
        $isOrdered = isset($this->stages[$name]) || isset($this->data['once'][$name]) || $name === 'dl';

        return $isOrdered ? [...$text, ...$this->order($element)] : $text;
    }

    /** @return list<Misplaced> the text of an element that may only hold elements */
    private function textIn(Element $element): array
    {
        $found = [];
        foreach ($element->children as $child) {
            if ($child instanceof TextNode && ! $child->isBlank()) {
                $found[] = new Misplaced(
                    $child,
                    MisplacedKind::Text,
                    array_slice($this->data['only'][$element->name], 0, 2),
                );
            }
        }

        return $found;
    }

    /** @return \Generator<int, Misplaced> */
    private function order(Element $element): \Generator
    {
        $children = [];
        foreach ($element->children as $child) {
            if ($child instanceof Element && ! in_array($child->name, $this->data['scriptSupporting'], true)) {
                $children[] = $child;
            }
        }
        yield from $this->outOfOrder($element, $children);
        yield from isset($this->data['once'][$element->name]) ? $this->repeated($element, $children) : [];
        yield from $element->name === 'dl' ? $this->unpaired($children) : [];
    }

    /**
     * @param  list<Element>  $children
     * @return \Generator<int, Misplaced>
     */
    private function outOfOrder(Element $element, array $children): \Generator
    {
        $ends = $this->data['ends'][$element->name] ?? [];
        foreach ($ends === [] ? [] : $children as $index => $child) {
            if (in_array($child->name, $ends, true) && $index > 0 && $index < count($children) - 1) {
                yield new Misplaced($child, MisplacedKind::Order, [$element->name]);
            }
        }
        $stages = $this->stages[$element->name] ?? [];
        $reached = 0;
        $by = '';
        foreach ($stages === [] ? [] : $children as $child) {
            $stage = $stages[$child->name] ?? $stages['*'] ?? $reached;
            if ($stage < $reached) {
                yield new Misplaced($child, MisplacedKind::Order, [$element->name, $by]);
            } elseif ($stage > $reached || $by === '') {
                [$reached, $by] = [$stage, $child->name];
            }
        }
    }

    /**
     * @param  list<Element>  $children
     * @return \Generator<int, Misplaced>
     */
    private function repeated(Element $element, array $children): \Generator
    {
        $seen = [];
        foreach ($children as $child) {
            if (isset($seen[$child->name]) && in_array($child->name, $this->data['once'][$element->name] ?? [], true)) {
                yield new Misplaced($child, MisplacedKind::Second, [$element->name]);
            }
            $seen[$child->name] = true;
        }
    }

    /**
     * 4.4.9: groups of terms and the descriptions that follow them.
     *
     * @param  list<Element>  $children
     * @return \Generator<int, Misplaced>
     */
    private function unpaired(array $children): \Generator
    {
        $before = null;
        foreach ($children as $child) {
            if ($child->name === 'dd' && $before === null) {
                yield new Misplaced($child, MisplacedKind::Order, ['dl', 'dt']);
            }
            $before = $child->name === 'div' ? null : $child;
        }
        if ($before?->name === 'dt') {
            yield new Misplaced($before, MisplacedKind::Order, ['dl', 'dd']);
        }
    }
}
