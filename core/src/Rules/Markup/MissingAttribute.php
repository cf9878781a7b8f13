<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;

/** An attribute that the standard requires on its element (HTML Standard, section 4). */
final readonly class MissingAttribute extends ElementRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-attribute',
            'Missing attribute',
            Weight::Fault,
            ProofMark::Insert,
            'A required attribute is missing.',
            'Without this attribute the element cannot do its work: a picture has nothing to show, a '
                .'form control has nothing to send.',
            Citation::html('Element definitions', 'dom.html#element-definitions'),
            ['style/missing-rel'],
        ));
    }

    protected function concerns(string $name): bool
    {
        return isset(self::required()[$name]);
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Draft
    {
        foreach (self::required()[$element->name] as $names) {
            $names = (array) $names;
            if (array_intersect_key(
                array_flip($names),
                $element->attributes,
            ) !== [] || self::isOtherwiseUsed($element)) {
                continue;
            }

            return Draft::at($page, $element)
                ->anchored("!{$names[0]}")
                ->says("`<{$element->name}>` needs the attribute `{$names[0]}`, and does nothing without it.")
                ->remedy("Add `{$names[0]}=\"…\"` to the tag.");
        }

        return null;
    }

    /** Microdata and RDFa give `meta` and `link` a use of their own; scripts load what has `data-src`. */
    private static function isOtherwiseUsed(Element $element): bool
    {
        return in_array($element->name, ['meta', 'link'], true)
            ? ($element->attribute('property') ?? $element->attribute('itemprop')) !== null
            : ($element->attribute('data-src') ?? $element->attribute('data-srcset')) !== null;
    }

    /** @return array<string, list<string|list<string>>> */
    private static function required(): array
    {
        /** @var array<string, list<string|list<string>>>|null $required */
        static $required = null;

        return $required ??= require __DIR__.'/../../../data/required-attributes.php';
    }
}
