<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** What the HTML Standard says of elements and their attributes as facts. Source: the tables in core/data, which say where they come from. */
final readonly class ElementTable
{
    /** HTML Standard, 13.1.2.4, "optional tags": whose end tag may be left out. */
    private const OPTIONAL_END = ['html', 'head', 'body', 'li', 'dt', 'dd', 'p', 'rt', 'rp', 'optgroup', 'option', 'colgroup', 'caption', 'thead', 'tbody', 'tfoot', 'tr', 'td', 'th'];

    /**
     * @param  list<string>  $names
     * @param  array<string, string>  $obsolete  by name, with what does the element's work now
     * @param  array<string, array<string, string>>  $obsoleteAttributes  by element and name
     */
    private function __construct(private array $names, private array $obsolete, private array $obsoleteAttributes)
    {
    }

    public static function load(): self
    {
        static $table = null;
        if (! $table instanceof self) {
            /** @var list<string> $names */
            $names = require __DIR__.'/../../data/elements.php';
            /** @var array<string, string> $obsolete */
            $obsolete = require __DIR__.'/../../data/obsolete-elements.php';
            /** @var array<string, array<string, string>> $attributes */
            $attributes = require __DIR__.'/../../data/obsolete-attributes.php';
            $table = new self($names, $obsolete, $attributes);
        }

        return $table;
    }

    /** Whether there is such an element; a name with a hyphen is a custom one (4.13.3). */
    public function knows(string $name): bool
    {
        return in_array($name, $this->names, true) || isset($this->obsolete[$name]) || preg_match('/^[a-z][^A-Z]*-/', $name) === 1;
    }

    /** @return list<string> those that are not obsolete */
    public function current(): array
    {
        return array_values(array_diff($this->names, array_keys($this->obsolete)));
    }

    /** What does the work of an obsolete element now; null when it is not obsolete. */
    public function insteadOf(string $name): ?string
    {
        return $this->obsolete[$name] ?? null;
    }

    /** What does the work of an obsolete attribute now; null when it is not obsolete. */
    public function insteadOfAttribute(string $element, string $attribute): ?string
    {
        return $this->obsoleteAttributes[$element][$attribute] ?? null;
    }

    public static function mayOmitEndTag(string $name): bool
    {
        return in_array($name, self::OPTIONAL_END, true);
    }
}
