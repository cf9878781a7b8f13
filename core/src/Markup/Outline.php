<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/**
 * The parts and headings of a page in document order, and which part everything stands in.
 *
 * The header and footer of an article or section are none of the page (HTML Standard, 4.3.8 and 4.3.9). Where a page
 * has no element of a part's name, a div or section that is called so by id, class or role serves as the part (common
 * practice).
 */
final readonly class Outline
{
    /** So much of a heading is read: one with more in it is none. */
    private const MAX_NODES = 300;

    private const SECTIONS = ['article', 'aside', 'section', 'nav', 'main'];

    /**
     * @param  list<OutlineEntry>  $entries
     * @param  array<int, PartKind>  $around  the nearest part that an element is in or is, by object id
     * @param  OutlineEntry|null  $mainHeading  the first heading of the highest rank that the page has
     */
    private function __construct(public array $entries, private array $around, private ?OutlineEntry $mainHeading)
    {
    }

    public static function of(Document $document): self
    {
        $named = [];
        foreach ($document->elements() as $element) {
            $named[$element->name] = true;
        }
        $entries = $around = $sectioned = [];
        $main = null;
        foreach ($document->elements() as $element) {
            $id = spl_object_id($element);
            $above = $element->parent === null ? null : spl_object_id($element->parent);
            $inside = $above === null ? null : $around[$above] ?? null;
            $isSectioned = $above !== null && isset($sectioned[$above]);
            $part = self::part($element, $named, $isSectioned);
            if ($part !== null) {
                $entries[] = new OutlineEntry($element, $part, null, self::called($element), $inside);
            } elseif ($element->name[0] === 'h' && $element->namespace === NodeNamespace::Html && preg_match(
                '/^h([1-6])$/',
                $element->name,
                $level,
            ) === 1) {
                $entry = new OutlineEntry($element, null, (int) $level[1], $element->words(self::MAX_NODES), $inside);
                $entries[] = $entry;
                $main = $main === null || $entry->level < $main->level ? $entry : $main;
            }
            if (($part ?? $inside) !== null) {
                $around[$id] = $part ?? $inside;
            }
            if ($isSectioned || in_array($element->name, self::SECTIONS, true)) {
                $sectioned[$id] = true;
            }
        }

        return new self($entries, $around, $main);
    }

    /** The nearest part around an element; the element's own when it is one. */
    public function partOf(Element $element): ?PartKind
    {
        return $this->around[spl_object_id($element)] ?? null;
    }

    /** @return list<OutlineEntry> */
    public function parts(): array
    {
        return array_values(array_filter($this->entries, fn (OutlineEntry $entry) => $entry->part !== null));
    }

    /** @return list<OutlineEntry> */
    public function headings(): array
    {
        return array_values(array_filter($this->entries, fn (OutlineEntry $entry) => $entry->level !== null));
    }

    /** @return list<OutlineEntry> */
    public function landmarks(PartKind $part): array
    {
        return array_values(array_filter($this->entries, fn (OutlineEntry $entry) => $entry->part === $part));
    }

    /** The first heading of the highest rank that the page has; null when it has none. */
    public function mainHeading(): ?OutlineEntry
    {
        return $this->mainHeading;
    }

    /** @param  array<string, true>  $named  the names of all elements of the page */
    private static function part(Element $element, array $named, bool $isSectioned): ?PartKind
    {
        if ($element->namespace !== NodeNamespace::Html || ! $element->isWritten()) {
            return null;
        }
        $part = PartKind::of($element);
        $serves = $part !== null && ($part->value === $element->name || ! isset($named[$part->value]));

        return $serves && ! ($isSectioned && in_array($part, [PartKind::Header, PartKind::Footer], true))
            ? $part
            : null;
    }

    private static function called(Element $element): string
    {
        $id = $element->value('id') ?? '';
        $class = implode('.', $element->classes());

        return $element->name.($id === '' ? '' : "#$id").($class === '' ? '' : ".$class");
    }
}
