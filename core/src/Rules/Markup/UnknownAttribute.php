<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\AttributeTable;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\NearestName;

/** An attribute that the HTML Standard does not know on this element (index of attributes). */
final readonly class UnknownAttribute extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/unknown-attribute', Weight::Fault, ProofMark::Change, 'An attribute is not in the standard, or not on this element.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $table = AttributeTable::load();
        foreach ($reading->pages as $page) {
            $isForeign = [];
            foreach ($page->document->elements() as $element) {
                // Inside svg, math and custom elements other vocabularies hold.
                $above = $element->parent;
                $isForeign[spl_object_id($element)] = in_array($element->name, ['svg', 'math'], true) || str_contains($element->name, '-')
                    || ($above !== null && $isForeign[spl_object_id($above)]);
                if ($isForeign[spl_object_id($element)]) {
                    continue;
                }
                foreach ($element->attributes as $attribute) {
                    // A name with a quotation mark or < in it is a parse error, and told as one.
                    if ($table->knows($element->name, $attribute->name) || strpbrk($attribute->name, '"\'<=') !== false) {
                        continue;
                    }
                    $meant = NearestName::of($attribute->name, $table->namesFor($element->name, $attribute->name));
                    yield $this->on(
                        $element,
                        $page->file,
                        $attribute->nameSpan(),
                        "There is no attribute “{$attribute->name}” on {$element->name}; a browser ignores it.",
                        $meant === null ? 'Take it out, or look up the attribute that does what you want.' : "Type {$meant}, if that is meant.",
                        about: "@{$attribute->name}",
                    );
                }
            }
        }
    }
}
