<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/**
 * What the HTML Standard says of elements and their attributes as facts. Source: the tables in core/data, which say
 * where they come from.
 */
final readonly class ElementTable
{
    /**
     * @param  array<string, int>  $names
     * @param  array<string, int>  $void
     * @param  array<string, int>  $optionalEnd
     * @param  array<string, string>  $obsolete  by name, with what does the element's work now
     * @param  array<string, array<string, string>>  $obsoleteAttributes  by element and name
     */
    private function __construct(
        private array $names,
        private array $void,
        private array $optionalEnd,
        private array $obsolete,
        private array $obsoleteAttributes,
    ) {
    }

    public static function load(): self
    {
        static $table = null;
        if (! $table instanceof self) {
            $folder = __DIR__.'/../../data';
            /** @var list<string> $names */
            $names = require "$folder/elements.php";
            /** @var array{void: list<string>, optionalEnd: list<string>} $tags */
            $tags = require "$folder/tags.php";
            /** @var array<string, string> $obsolete */
            $obsolete = require "$folder/obsolete-elements.php";
            /** @var array<string, array<string, string>> $attributes */
            $attributes = require "$folder/obsolete-attributes.php";
            $table = new self(
                array_flip($names),
                array_flip($tags['void']),
                array_flip($tags['optionalEnd']),
                $obsolete,
                $attributes,
            );
        }

        return $table;
    }

    /** Whether there is such an element; a name with a hyphen is a custom one (4.13.3). */
    public function knows(string $name): bool
    {
        return isset($this->names[$name])
            || isset($this->obsolete[$name])
            || preg_match('/^[a-z][^A-Z]*-/', $name) === 1;
    }

    /** @return list<string> those that are not obsolete */
    public function current(): array
    {
        return array_map(strval(...), array_keys(array_diff_key($this->names, $this->obsolete)));
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

    /** Whether an element holds nothing and never has an end tag (13.1.2). */
    public function isVoid(string $name): bool
    {
        return isset($this->void[$name]);
    }

    public function mayOmitEndTag(string $name): bool
    {
        return isset($this->optionalEnd[$name]);
    }
}
