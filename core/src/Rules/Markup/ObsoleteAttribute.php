<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Rules\Rule;

/** An attribute that is obsolete on its element (HTML Standard, 16.2). Told once a page for each attribute. */
final readonly class ObsoleteAttribute extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/obsolete-attribute',
            'Obsolete attribute',
            Weight::Departure,
            ProofMark::Change,
            'An attribute is obsolete.',
            'This attribute is no longer part of HTML, and browsers may stop obeying it. Most of what '
                .'such attributes did is now done in the stylesheet, once for all pages.',
            Citation::html('Non-conforming features', 'obsolete.html#non-conforming-features'),
            ['markup/obsolete-element'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $table = ElementTable::load();
        foreach ($exam->site->pages as $page) {
            foreach ($page->attributes() as [$name, $attribute, $elements]) {
                $instead = $table->insteadOfAttribute($name, $attribute);
                foreach ($instead === null ? [] : $elements as $element) {
                    yield Draft::at($page, $element)
                        ->span($element->attribute($attribute)?->span())
                        ->anchored("@$attribute")
                        ->says("The attribute `$attribute` on `<$name>` is obsolete.")
                        ->remedy($instead === 'nothing' ? 'Remove it.' : "Use $instead.")
                        ->folded("$attribute of $name");
                }
            }
        }
    }
}
