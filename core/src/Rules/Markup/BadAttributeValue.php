<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\AttributeTable;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Site\Page;

/** A value that its attribute does not take (HTML Standard, section 4 and 2.3; WAI-ARIA 1.2, sections 5 and 6). */
final readonly class BadAttributeValue extends SlipRule
{
    public function __construct()
    {
        parent::__construct(
            'markup/bad-attribute-value',
            Weight::Departure,
            ProofMark::Change,
            'The value of an attribute is not one that it takes.',
        );
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->slipFindings($exam);
        $table = AttributeTable::load();
        foreach ($exam->site->pages as $page) {
            foreach ($page->attributes() as [$name, $attribute, $elements]) {
                $mayBeWrong = in_array($attribute, ['target', 'class', 'id'], true)
                    || $table->limits($name, $attribute);
                foreach ($mayBeWrong ? $elements : [] as $element) {
                    $finding = $this->checkAttribute($element->attributes[$attribute], $element, $page, $table);
                    if ($finding !== null) {
                        yield $finding;
                    }
                }
            }
        }
    }

    protected function wordsFor(Slip $slip): ?array
    {
        return $slip->kind !== SlipKind::MisspeltValue ? null : [
            'misspelt',
            "`{$slip->inside}=\"{$slip->written}\"` is misspelt, so browsers ignore the link.",
            "Type `{$slip->inside}=\"{$slip->meant}\"`.",
        ];
    }

    private function checkAttribute(Attribute $attribute, Element $element, Page $page, AttributeTable $table): ?Finding
    {
        $name = $attribute->name;
        if ($name === 'target') {
            return $this->checkTarget($attribute, $element, $page);
        }
        $sign = $name === 'class' || $name === 'id' ? $this->checkSign($attribute, $element, $page) : null;
        if ($sign !== null) {
            return $sign;
        }
        $expected = $table->expected($element->name, $name, $attribute->value);

        return $expected === null ? null : $this->elementFinding(
            $page,
            $element,
            "`$name=\"{$attribute->value}\"` is not a value that `$name` takes.",
            "Use $expected.",
            span: $attribute->valueSpan() ?? $attribute->nameSpan(),
            about: "@$name",
            fold: "$name={$attribute->value}",
        );
    }

    /** `blank` without the underscore is the name of a window: it opens one, and every other such link reuses it. */
    private function checkTarget(Attribute $attribute, Element $element, Page $page): ?Finding
    {
        $value = $attribute->valueSpan();
        if ($value === null || preg_match('/^\s*(blank|self|parent|top)\s*$/i', $attribute->value, $keyword) !== 1) {
            return null;
        }
        $meant = '_'.strtolower($keyword[1]);

        return $this->elementFinding(
            $page,
            $element,
            "`target=\"{$attribute->value}\"` is the name of a window, because the underscore is missing.",
            "Type `target=\"$meant\"`.",
            'target',
            $value,
            mend: Mend::of(new Edit($page->file, $value, $meant)),
            about: '@target',
            fold: 'target',
        );
    }

    /** The sign of a selector in the attribute itself: `class=".big"`. */
    private function checkSign(Attribute $attribute, Element $element, Page $page): ?Finding
    {
        $value = $attribute->valueSpan();
        $sign = $attribute->name === 'id' ? '#' : '.';
        if ($value === null || ! str_contains($attribute->value, $sign) || preg_match(
            '/(?:^|\s)'.preg_quote($sign, '/').'[a-z_-]/i',
            $attribute->value,
        ) !== 1) {
            return null;
        }
        $meant = preg_replace('/(^|\s)'.preg_quote($sign, '/').'(?=[a-z_-])/i', '$1', $attribute->value) ?? '';

        return $this->elementFinding(
            $page,
            $element,
            "The `$sign` belongs in the stylesheet only: this {$attribute->name} is now named “{$attribute->value}”, "
                .'with the sign.',
            "Type `{$attribute->name}=\"$meant\"`.",
            'sign',
            $value,
            mend: Mend::of(new Edit($page->file, $value, $meant)),
            about: "@{$attribute->name}",
            fold: "sign:{$attribute->value}",
        );
    }
}
