<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Rules\Rule;

/** An attribute that is obsolete on its element (HTML Standard, 16.2). Told once a page for each attribute. */
final readonly class ObsoleteAttribute extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'markup/obsolete-attribute',
            Weight::Departure,
            ProofMark::Change,
            'An attribute is obsolete.',
            ['markup/obsolete-element'],
        );
    }

    public function check(Examination $exam): iterable
    {
        $table = ElementTable::load();
        foreach ($exam->site->pages as $page) {
            foreach ($page->attributes() as [$name, $attribute, $elements]) {
                $instead = $table->insteadOfAttribute($name, $attribute);
                foreach ($instead === null ? [] : $elements as $element) {
                    yield $this->elementFinding(
                        $page,
                        $element,
                        "The attribute `$attribute` on `<$name>` is obsolete.",
                        $instead === 'nothing' ? 'Remove it.' : "Use $instead.",
                        span: $element->attribute($attribute)?->span(),
                        about: "@$attribute",
                        fold: $attribute,
                    );
                }
            }
        }
    }
}
