<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** An attribute that the standard requires on its element and that is not there (HTML Standard, section 4). */
final readonly class MissingAttribute extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/missing-attribute', Weight::Fault, ProofMark::Insert, 'An attribute is missing that its element has to have.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        /** @var array<string, list<string|list<string>>> $required */
        $required = require __DIR__.'/../../../data/required-attributes.php';
        foreach ($reading->pages as $page) {
            foreach ($page->elements as $element) {
                $startTag = $element->startTag();
                foreach ($startTag === null ? [] : $required[$element->name] ?? [] as $names) {
                    $names = (array) $names;
                    if (array_intersect_key(array_flip($names), $element->attributes) !== []) {
                        continue;
                    }
                    yield $this->on(
                        $element,
                        $page->file,
                        $startTag ?? Span::at(0),
                        "This {$element->name} has no {$names[0]}, and does nothing without it.",
                        "Type {$names[0]}=\"…\" inside the tag.",
                        about: "!{$names[0]}",
                    );
                }
            }
        }
    }
}
