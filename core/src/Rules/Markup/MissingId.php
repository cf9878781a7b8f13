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
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\FormFields;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\PageIds;
use InkedMargin\Core\Site\Styles\OtherStyles;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\Span;

/** An attribute that names an element of the page by its id, and finds none, or one of another kind. */
final readonly class MissingId extends Rule
{
    /** What each attribute leads to, in words, by the elements that have it (HTML Standard; WAI-ARIA 1.2). */
    private const LEADS_TO = [
        'for' => ['label' => 'a field'],
        'headers' => ['td' => 'a header cell', 'th' => 'a header cell'],
        'list' => ['input' => 'a `<datalist>`'],
        'form' => [
            'button' => 'a `<form>`', 'fieldset' => 'a `<form>`', 'input' => 'a `<form>`', 'object' => 'a `<form>`',
            'output' => 'a `<form>`', 'select' => 'a `<form>`', 'textarea' => 'a `<form>`',
        ],
        'popovertarget' => ['button' => 'an element with `popover`', 'input' => 'an element with `popover`'],
        'commandfor' => ['button' => 'an element'],
    ];

    private const OF_ARIA = [
        'aria-labelledby', 'aria-describedby', 'aria-controls', 'aria-owns', 'aria-details', 'aria-flowto',
        'aria-errormessage', 'aria-activedescendant',
    ];

    private const LISTS = [
        'headers', 'aria-labelledby', 'aria-describedby', 'aria-controls', 'aria-owns', 'aria-details', 'aria-flowto',
    ];

    private const MAX_SEARCHED = 300;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-id',
            'Id not found',
            Weight::Fault,
            ProofMark::Change,
            'An attribute that names another element of the page by its id, and no such element is there.',
            'The two are not joined: a click on the label does nothing, and a screen reader does not know what the '
                .'field is for.',
            Citation::html('Labeling form controls', 'forms.html#attr-label-for'),
            ['markup/unclosed-element', 'markup/misnested', 'markup/duplicate-id'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $ids = null;
            foreach ($page->attributes() as [$name, $attribute, $elements]) {
                if (self::leadsTo($name, $attribute) !== null) {
                    $ids ??= PageIds::of($page);
                    foreach ($elements as $element) {
                        yield from $this->attribute($element, $element->attribute($attribute), $page, $ids, $exam);
                    }
                }
            }
            yield from self::maps($page);
            yield from self::symbols($page);
        }
    }

    private static function leadsTo(string $element, string $attribute): ?string
    {
        return in_array($attribute, self::OF_ARIA, true)
            ? 'an element'
            : self::LEADS_TO[$attribute][$element] ?? null;
    }

    /** @return iterable<Draft> */
    private function attribute(
        Element $element,
        ?Attribute $attribute,
        Page $page,
        PageIds $ids,
        Examination $exam,
    ): iterable {
        $isAria = str_starts_with($attribute->name ?? '', 'aria-');
        if ($attribute === null || ($isAria && $page->named('script') !== [])) {
            return;
        }
        $names = in_array($attribute->name, self::LISTS, true)
            ? preg_split('/\s+/', $attribute->value, -1, PREG_SPLIT_NO_EMPTY) ?: []
            : [$attribute->value];
        foreach ($names as $name) {
            $found = $ids->element($name);
            $isRight = $found !== null && self::isRight($attribute->name, $found);
            $isMade = $found === null && $page->named('script') !== []
                && $exam->site->fact(OtherStyles::class)->mayKnow($name);
            if (! $isRight && ! $isMade && $name !== '') {
                yield self::draft($element, $attribute, $name, $page, $ids);
            }
        }
    }

    private static function isRight(string $attribute, Element $found): bool
    {
        return match ($attribute) {
            'for' => FormFields::isLabelable($found),
            'headers' => $found->name === 'th' || $found->name === 'td',
            'list' => $found->name === 'datalist',
            'form' => $found->name === 'form',
            'popovertarget' => $found->attribute('popover') !== null,
            default => true,
        };
    }

    private static function draft(
        Element $element,
        Attribute $attribute,
        string $name,
        Page $page,
        PageIds $ids,
    ): Draft {
        $found = $ids->element($name);
        $wanted = self::leadsTo($element->name, $attribute->name);
        $meant = self::meant($name, $attribute->name, $ids);
        $span = self::spanOf($attribute, $name);
        $written = $meant === null ? '' : str_replace($name, $meant, $attribute->value);
        $message = $found === null
            ? "No element of this page has the id `$name`, so `{$attribute->name}` leads nowhere."
            : "`$name` is the id of `<{$found->name}>`, and `{$attribute->name}` has to lead to $wanted.";

        return Draft::at($page, $element)
            ->variant($found === null ? 'none' : 'kind')
            ->span($span)
            ->anchored("@{$attribute->name}:$name")
            ->says($message)
            ->remedy($meant === null ? "Give the id of $wanted." : "Type `{$attribute->name}=\"$written\"`.")
            ->mend(Mend::replacing($page->file, $span, $meant))
            ->about(Subject::place($page->path(), $span->start));
    }

    private static function meant(string $name, string $attribute, PageIds $ids): ?string
    {
        $plain = ltrim($name, '#');
        $there = $ids->element($plain);
        if ($there !== null && self::isRight($attribute, $there)) {
            return $plain;
        }

        // With very many ids the search would take longer than the check.
        return $ids->count() > self::MAX_SEARCHED
            ? null
            : NearestName::of($plain, $ids->ofKind(fn (Element $one) => self::isRight($attribute, $one)));
    }

    private static function spanOf(Attribute $attribute, string $name): Span
    {
        $span = $attribute->valueSpan() ?? $attribute->span();
        $at = strpos($attribute->value, $name);
        $isAsWritten = $span->length() === strlen($attribute->value);

        return $at === false || ! $isAsWritten
            ? $span
            : new Span($span->start + $at, $span->start + $at + strlen($name));
    }

    /** @return iterable<Draft> pictures whose image map is not there (HTML Standard, 4.8.14) */
    private static function maps(Page $page): iterable
    {
        $ids = null;
        foreach ($page->named('img') as $picture) {
            $attribute = $picture->attribute('usemap');
            $name = substr($attribute->value ?? '', 1);
            if ($attribute === null || ! str_starts_with($attribute->value, '#')) {
                continue;
            }
            $ids ??= PageIds::of($page);
            if ($ids->map($name) === null) {
                $meant = NearestName::of($name, $ids->mapNames());
                $span = $attribute->valueSpan() ?? $attribute->span();
                yield Draft::at($page, $picture)
                    ->variant('none')
                    ->span($span)
                    ->anchored('@usemap')
                    ->says("There is no `<map name=\"$name\">` on this page, so no part of the picture is a link.")
                    ->remedy($meant === null ? "Add `<map name=\"$name\">`." : "Type `usemap=\"#$meant\"`.")
                    ->mend($meant === null ? null : Mend::of(new Edit($page->file, $span, "#$meant")));
            }
        }
    }

    /** @return iterable<Draft> drawings that use a part which is not there (SVG 2, 5.6) */
    private static function symbols(Page $page): iterable
    {
        $ids = null;
        foreach ($page->document->elements() as $element) {
            $attribute = $element->name === 'use'
                ? $element->attribute('href') ?? $element->attribute('xlink:href')
                : null;
            if ($attribute === null || ! str_starts_with($attribute->value, '#') || $page->named('script') !== []) {
                continue;
            }
            $ids ??= PageIds::of($page);
            $name = substr($attribute->value, 1);
            if ($name !== '' && $ids->element($name) === null) {
                $isDrawn = fn (Element $one) => $one->namespace === $element->namespace;
                $meant = NearestName::of($name, $ids->ofKind($isDrawn));
                $span = $attribute->valueSpan() ?? $attribute->span();
                yield Draft::at($page, $element)
                    ->variant('none')
                    ->span($span)
                    ->anchored('@href')
                    ->says("No element of this page has the id `$name`, so nothing is drawn here.")
                    ->remedy($meant === null ? 'Give the id of a `<symbol>`.' : "Type `href=\"#$meant\"`.")
                    ->mend($meant === null ? null : Mend::of(new Edit($page->file, $span, "#$meant")));
            }
        }
    }
}
