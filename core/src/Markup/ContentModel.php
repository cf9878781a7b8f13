<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/**
 * Which elements may stand in which, and in which order. Source: core/data/content-models.php, which says where it comes from.
 *
 * A page is gone through once in document order. What an element needs to know of those around it, it has from its parent, so
 * that the cost is linear however deep the page.
 */
final readonly class ContentModel
{
    /** @var array<string, true> */
    private array $phrasing;

    /** @var array<string, list<string>> by the name of the element that may not stand in these */
    private array $notInside;

    /** @var array<string, true> names that something asks about which is further down */
    private array $remembered;

    /**
     * @param  array{phrasing: list<string>, interactiveWith: array<string, string>, scriptSupporting: list<string>, transparent: list<string>, phrasingOnly: list<string>, alsoHeadings: list<string>, only: array<string, list<string>>, parents: array<string, list<string>>, within: array<string, list<string>>, ancestors: array<string, list<string>>, without: array<string, list<string>>, order: array<string, list<list<string>>>, once: array<string, list<string>>, ends: array<string, list<string>>, bodyOk: list<string>}  $data
     */
    private function __construct(private array $data)
    {
        $this->phrasing = array_fill_keys($data['phrasing'], true);
        $notInside = [];
        foreach ($data['without'] as $around => $names) {
            foreach ($names as $name) {
                $notInside[$name][] = $around;
            }
        }
        $this->notInside = $notInside;
        $this->remembered = array_fill_keys([...array_keys($data['without']), ...array_merge(...array_values($data['within']))], true);
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

    /** @return \Generator<int, Misplaced> in document order, one for a node at most */
    public function misplaced(Document $document): \Generator
    {
        $surroundings = $fine = [];
        $outside = new Surroundings;
        foreach ($document->elements() as $element) {
            if ($element->namespace !== NodeNamespace::Html) {
                continue;
            }
            $parent = $element->parent;
            if ($parent !== null && $parent->namespace === NodeNamespace::Html && $element->isWritten()) {
                $around = $this->around($parent, $surroundings, $outside);
                $opaque = $around->opaque->name ?? '';
                // Of a name in a name, most are right: those need no second look.
                $isFine = isset($fine[$element->name][$parent->name][$opaque]);
                $misplaced = $isFine ? null : $this->fromParent($element, $around);
                if ($misplaced === null && ! $isFine && ($this->data['parents'][$element->name][0] ?? '') !== 'head') {
                    $fine[$element->name][$parent->name][$opaque] = true;
                }
                $misplaced ??= $this->mayBeRefused($element) ? $this->fromAbove($element, $around) ?? $this->fromMetadata($element) : null;
                if ($misplaced !== null) {
                    yield $misplaced;
                }
            }
            if (isset($this->data['only'][$element->name]) || isset($this->data['order'][$element->name]) || isset($this->data['once'][$element->name])) {
                yield from $this->children($element);
            }
        }
    }

    /**
     * What is around the children of an element: worked out when the first of them asks.
     *
     * @param  array<int, Surroundings>  $known  by object id
     */
    private function around(Element $parent, array &$known, Surroundings $outside): Surroundings
    {
        $id = spl_object_id($parent);
        if (isset($known[$id])) {
            return $known[$id];
        }
        $path = [];
        for ($above = $parent; $above !== null && ! isset($known[spl_object_id($above)]); $above = $above->parent) {
            $path[] = $above;
        }
        $around = $above === null ? $outside : $known[spl_object_id($above)];
        foreach (array_reverse($path) as $element) {
            $around = $around->inside(
                $element,
                in_array($element->name, $this->data['transparent'], true),
                isset($this->remembered[$element->name]),
                $this->data['ancestors']['main'],
            );
            $known[spl_object_id($element)] = $around;
        }

        return $around;
    }

    /** Whether something above may refuse an element, so that it has to be asked. */
    private function mayBeRefused(Element $element): bool
    {
        $name = $element->name;

        return isset($this->notInside[$name]) || isset($this->data['within'][$name]) || isset($this->data['ancestors'][$name])
            || $name === 'link' || $name === 'meta' || isset($element->attributes['tabindex']);
    }

    private function fromParent(Element $element, Surroundings $around): ?Misplaced
    {
        $parent = $around->opaque;
        if ($parent === null || $parent->name === 'template') {
            return null;
        }
        $parents = $this->data['parents'][$element->name] ?? null;
        if ($parents !== null && ! in_array($parent->name, $parents, true) && ! in_array($element->parent->name ?? '', $parents, true) && ! ($parents[0] === 'head' && $this->isStrayed($element, $parent))) {
            return new Misplaced($element, $parents[0] === 'head' ? MisplacedKind::Metadata : MisplacedKind::NeedsParent, array_slice($parents, 0, 2));
        }
        $only = $this->data['only'][$parent->name] ?? null;
        // What is in a link that is in a list is reported with the link.
        $isDirect = $element->parent === $parent;
        if ($only !== null && $isDirect && ! in_array($element->name, [...$only, ...$this->data['scriptSupporting']], true)) {
            return new Misplaced($element, MisplacedKind::NotAChild, array_slice($only, 0, 2));
        }
        $isBlock = ! isset($this->phrasing[$element->name]) && $parents === null && ElementTable::load()->knows($element->name)
            && ! str_contains($element->name, '-') && ElementTable::load()->insteadOf($element->name) === null;
        if (! $isBlock || ! in_array($parent->name, $this->data['phrasingOnly'], true)) {
            return null;
        }

        return in_array($parent->name, $this->data['alsoHeadings'], true) && preg_match('/^h(?:[1-6]|group)$/', $element->name) === 1
            ? null
            : new Misplaced($element, MisplacedKind::BlockInPhrase, [$parent->name]);
    }

    private function fromAbove(Element $element, Surroundings $around): ?Misplaced
    {
        foreach ($this->isRefused($element) ? $this->notInside[$element->name] ?? [] : [] as $name) {
            if (isset($around->names[$name])) {
                return new Misplaced($element, MisplacedKind::Nested, [$name]);
            }
        }
        if ($element->attribute('tabindex') !== null && (isset($around->names['a']) || isset($around->names['button']))) {
            return new Misplaced($element, MisplacedKind::Nested, [isset($around->names['a']) ? 'a' : 'button']);
        }
        if ($element->name === 'main' && $around->barrier !== null) {
            return new Misplaced($element, MisplacedKind::Nested, [$around->barrier]);
        }
        $within = $this->data['within'][$element->name] ?? [];

        return $within === [] || array_intersect_key(array_flip($within), $around->names) !== []
            ? null
            : new Misplaced($element, MisplacedKind::NeedsParent, array_slice($within, 0, 1));
    }

    /** Whether an element is of the kind that another may not hold: a link without `href` or a hidden field is not interactive. */
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
        if (! in_array($element->name, ['link', 'meta'], true) || $parent === null || in_array($parent->name, ['head', 'noscript', 'template'], true)
            || ($element->attribute('itemprop') ?? $element->attribute('property')) !== null || $this->isStrayed($element, $parent)) {
            return null;
        }
        $types = preg_split('/\s+/', strtolower(trim($element->value('rel') ?? ''))) ?: [];

        return $element->name === 'link' && array_diff($types, $this->data['bodyOk']) === []
            ? null
            : new Misplaced($element, MisplacedKind::Metadata, ['head']);
    }

    /** Whether an element was written for the head, and stands in the body only because something else had ended the head. */
    private function isStrayed(Element $element, Element $parent): bool
    {
        for ($above = $parent; $above !== null && $above->name !== 'body'; $above = $above->parent) {
            if ($above->isWritten()) {
                return false;
            }
        }

        return $above?->isWritten() === false;
    }

    /** @return \Generator<int, Misplaced> what the children of an element are not, one by one or in their order */
    private function children(Element $element): \Generator
    {
        if (isset($this->data['only'][$element->name])) {
            foreach ($element->children as $child) {
                if ($child instanceof Text && ! $child->isBlank()) {
                    yield new Misplaced($child, MisplacedKind::Text, array_slice($this->data['only'][$element->name], 0, 2));
                }
            }
        }
        $isOrdered = isset($this->data['order'][$element->name]) || isset($this->data['once'][$element->name]) || $element->name === 'dl';
        if (! $isOrdered) {
            return;
        }
        $children = array_values(array_filter($element->elements(), fn (Element $child) => ! in_array($child->name, $this->data['scriptSupporting'], true)));
        yield from $this->outOfOrder($element, $children);
        yield from $this->repeated($element, $children);
        yield from $element->name === 'dl' ? $this->unpaired($children) : [];
    }

    /**
     * @param  list<Element>  $children
     * @return \Generator<int, Misplaced>
     */
    private function outOfOrder(Element $element, array $children): \Generator
    {
        $ends = $this->data['ends'][$element->name] ?? [];
        foreach ($children as $index => $child) {
            if (in_array($child->name, $ends, true) && $index > 0 && $index < count($children) - 1) {
                yield new Misplaced($child, MisplacedKind::Order, [$element->name]);
            }
        }
        $stageOf = [];
        foreach ($this->data['order'][$element->name] ?? [] as $stage => $names) {
            $stageOf += array_fill_keys($names, $stage);
        }
        $reached = 0;
        $by = '';
        foreach ($stageOf === [] ? [] : $children as $child) {
            $stage = $stageOf[$child->name] ?? $stageOf['*'] ?? $reached;
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
