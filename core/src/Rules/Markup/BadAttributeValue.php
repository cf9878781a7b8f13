<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A value that its attribute does not take (HTML Standard, section 4, and 2.3.3 and 2.3.4). */
final readonly class BadAttributeValue extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/bad-attribute-value', Weight::Departure, ProofMark::Change, 'The value of an attribute is not one that it takes.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        /** @var array<string, array<string, list<string>>> $values */
        $values = require __DIR__.'/../../../data/attribute-values.php';
        foreach ($reading->pages as $page) {
            foreach ($page->elements as $element) {
                foreach (! $element->isWritten() ? [] : $element->attributes as $name => $attribute) {
                    $allowed = $values[$name][$element->name] ?? $values[$name]['*'] ?? null;
                    if ($allowed === null || self::allows($allowed, $attribute->value)) {
                        continue;
                    }
                    $expected = str_starts_with($allowed[0], '/') ? $allowed[1] : 'one of '.implode(', ', $allowed);
                    yield $this->on(
                        $element,
                        $page->file,
                        $attribute->valueSpan() ?? $attribute->nameSpan(),
                        "The {$name} of this {$element->name} is “{$attribute->value}”; {$expected} was expected.",
                        "Type {$expected}.",
                        about: "@{$name}",
                    );
                }
            }
        }
    }

    /** @param  list<string>  $allowed keywords, or a pattern first */
    private static function allows(array $allowed, string $value): bool
    {
        return str_starts_with($allowed[0], '/')
            ? preg_match($allowed[0], trim($value)) === 1
            : in_array($value, $allowed, true) || in_array(strtolower($value), $allowed, true);
    }
}
