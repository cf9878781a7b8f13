<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\AttributeTable;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A value that its attribute does not take (HTML Standard, section 4 and 2.3; WAI-ARIA 1.2, sections 5 and 6). */
final readonly class BadAttributeValue extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/bad-attribute-value', Weight::Departure, ProofMark::Change, 'The value of an attribute is not one that it takes.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $table = AttributeTable::load();
        foreach ($reading->pages as $page) {
            foreach ($page->elements as $element) {
                foreach (! $element->isWritten() ? [] : $element->attributes as $name => $attribute) {
                    $expected = $table->expected($element->name, (string) $name, $attribute->value);
                    if ($expected === null) {
                        continue;
                    }
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
}
