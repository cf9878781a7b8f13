<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Finding\Words;
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
        parent::__construct(new RuleFacts(
            'markup/bad-attribute-value',
            'Invalid attribute value',
            Weight::Departure,
            ProofMark::Change,
            'The value of an attribute is not one that it takes.',
            'A browser ignores a value that it cannot read and does what it would do without it. That '
                .'is not what you wrote.',
            Citation::html('Common microsyntaxes', 'common-microsyntaxes.html#common-microsyntaxes'),
        ));
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

    protected function wordsFor(Slip $slip): ?Words
    {
        return $slip->kind !== SlipKind::MisspeltValue ? null : new Words(
            "`{$slip->inside}=\"{$slip->written}\"` is misspelt, so browsers ignore the link.",
            "Type `{$slip->inside}=\"{$slip->meant}\"`.",
            'misspelt',
        );
    }

    private function checkAttribute(Attribute $attribute, Element $element, Page $page, AttributeTable $table): ?Draft
    {
        $name = $attribute->name;
        if ($name === 'target') {
            return $this->checkTarget($attribute, $element, $page);
        }
        $sign = $name === 'class' || $name === 'id' ? $this->checkSign($attribute, $element, $page) : null;
        if ($sign !== null) {
            return $sign;
        }
        if ($name === 'id' && preg_match('/\S\s+\S/', $attribute->value) === 1) {
            return self::spacedId($attribute, $element, $page);
        }
        $expected = $table->expected($element->name, $name, $attribute->value);

        return $expected === null ? null : Draft::at($page, $element)
            ->span($attribute->valueSpan() ?? $attribute->nameSpan())
            ->anchored("@$name")
            ->says("`$name=\"{$attribute->value}\"` is not a value that `$name` takes.")
            ->remedy("Use $expected.")
            ->folded("$name={$attribute->value}");
    }

    private static function spacedId(Attribute $attribute, Element $element, Page $page): Draft
    {
        $better = preg_replace('/\s+/', '-', trim($attribute->value)) ?? '';

        return Draft::at($page, $element)
            ->span($attribute->valueSpan() ?? $attribute->nameSpan())
            ->anchored('@id')
            ->says("`id=\"{$attribute->value}\"` has a space in it, so neither links nor stylesheets can name it.")
            ->remedy("Type `id=\"$better\"`, and the same name where it is used.")
            ->folded("id={$attribute->value}");
    }

    /** `blank` without the underscore is the name of a window: it opens one, and every other such link reuses it. */
    private function checkTarget(Attribute $attribute, Element $element, Page $page): ?Draft
    {
        $value = $attribute->valueSpan();
        if ($value === null || preg_match('/^\s*(blank|self|parent|top)\s*$/i', $attribute->value, $keyword) !== 1) {
            return null;
        }
        $meant = '_'.strtolower($keyword[1]);

        return Draft::at($page, $element)
            ->variant('target')
            ->span($value)
            ->anchored('@target')
            ->says("`target=\"{$attribute->value}\"` is the name of a window, because the underscore is missing.")
            ->remedy("Type `target=\"$meant\"`.")
            ->mend(Mend::of(new Edit($page->file, $value, $meant)))
            ->folded('target');
    }

    /** The sign of a selector in the attribute itself: `class=".big"`. */
    private function checkSign(Attribute $attribute, Element $element, Page $page): ?Draft
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

        return Draft::at($page, $element)
            ->variant('sign')
            ->span($value)
            ->anchored("@{$attribute->name}")
            ->says("The `$sign` belongs only in the stylesheet: as it is, this {$attribute->name} is called "
                ."“{$attribute->value}”.")
            ->remedy("Type `{$attribute->name}=\"$meant\"`.")
            ->mend(Mend::of(new Edit($page->file, $value, $meant)))
            ->folded("sign:{$attribute->value}");
    }
}
