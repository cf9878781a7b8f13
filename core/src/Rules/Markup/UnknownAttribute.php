<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\AttributeTable;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Site\Page;

/** An attribute that the HTML Standard does not have on this element (index of attributes). */
final readonly class UnknownAttribute extends SlipRule
{
    /** RDFa (W3C Recommendation RDFa Core 1.1) and Open Graph use these on any element. */
    private const RDFA = [
        'property', 'typeof', 'resource', 'prefix', 'vocab', 'about', 'datatype', 'inlist', 'rev', 'content', 'rel',
    ];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/unknown-attribute',
            'Unknown attribute',
            Weight::Fault,
            ProofMark::Change,
            'An attribute does not exist, or not on this element.',
            'Browsers ignore an attribute that they do not know, so what you want does not happen: '
                .'with `herf` there is no link.',
            Citation::html('Attributes', 'indices.html#attributes-3'),
            ['markup/parse-error', 'markup/obsolete-attribute'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->slipFindings($exam);
        $table = AttributeTable::load();
        foreach ($exam->site->pages as $page) {
            foreach ($page->attributes() as [$name, $attributeName, $elements]) {
                foreach ($table->knows($name, $attributeName) ? [] : $elements as $element) {
                    $attribute = $element->attributes[$attributeName];
                    if (! self::isAllowed($element, $attribute)) {
                        yield $this->unknown($element, $attribute, $page);
                    }
                }
            }
        }
    }

    protected function wordsFor(Slip $slip): ?Words
    {
        if ($slip->kind !== SlipKind::MisspeltAttribute) {
            return null;
        }
        $meant = str_contains($slip->meant, '=') ? $slip->meant : "{$slip->meant}=\"…\"";

        return new Words(
            "`<{$slip->inside}>` has no attribute `{$slip->written}`, so browsers ignore it.",
            "Type `$meant`.",
            'misspelt',
        );
    }

    private function unknown(Element $element, Attribute $attribute, Page $page): Draft
    {
        return Draft::at($page, $element)
            ->span($attribute->nameSpan())
            ->anchored("@{$attribute->name}")
            ->says("`<{$element->name}>` has no attribute `{$attribute->name}`, so browsers ignore it.")
            ->remedy('Remove it, or use the attribute that does what you want.')
            ->folded("{$attribute->name} of {$element->name}");
    }

    /**
     * What is no misspelling: a sign in the name is a parse error, other vocabularies have names of their own, old ones
     * are obsolete.
     */
    private static function isAllowed(Element $element, Attribute $attribute): bool
    {
        if (strpbrk(
            $attribute->name,
            '"\'<=',
        ) !== false || str_contains($element->name, '-') || self::isInForeign($element)) {
            return true;
        }
        if ($attribute->name === 'xmlns') {
            return $element->name === 'html' && trim($attribute->value) === 'http://www.w3.org/1999/xhtml';
        }

        return in_array($attribute->name, self::RDFA, true)
            || ElementTable::load()->insteadOfAttribute($element->name, $attribute->name) !== null;
    }

    /** Inside custom elements other vocabularies hold. */
    private static function isInForeign(Element $element): bool
    {
        $parent = $element->parent;

        return $parent !== null && str_contains($parent->name, '-');
    }
}
