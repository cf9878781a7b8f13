<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** An attribute that is obsolete on its element (HTML Standard, 16.2). */
final readonly class ObsoleteAttribute extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/obsolete-attribute', Weight::Departure, ProofMark::Change, 'An attribute is obsolete.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $table = ElementTable::load();
        foreach ($reading->pages as $page) {
            foreach ($page->elements as $element) {
                foreach (! $element->isWritten() ? [] : $element->attributes as $attribute) {
                    $instead = $table->insteadOfAttribute($element->name, $attribute->name);
                    if ($instead !== null) {
                        yield $this->on(
                            $element,
                            $page->file,
                            $attribute->span(),
                            "The attribute {$attribute->name} on {$element->name} is obsolete.",
                            "Use {$instead}.",
                            about: "@{$attribute->name}",
                        );
                    }
                }
            }
        }
    }
}
