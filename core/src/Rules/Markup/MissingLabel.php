<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\FormFields;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\PageIds;

/** A field that nothing names: no label, or an empty one. A placeholder goes away as soon as somebody types. */
final readonly class MissingLabel extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-label',
            'Missing label',
            Weight::Departure,
            ProofMark::Insert,
            'A form field without a label.',
            'A screen reader can only say “edit text” where a field has no label, and a click on the words beside it '
                .'does nothing.',
            Citation::wcag('3.3.2 Labels or Instructions', 'labels-or-instructions'),
            ['markup/missing-id', 'markup/unclosed-element', 'markup/misnested', 'markup/unknown-attribute'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $fields = array_filter(
                [...$page->named('input'), ...$page->named('select'), ...$page->named('textarea')],
                fn (Element $field) => $field->isWritten()
                    && FormFields::wantsLabel($field)
                    && ! self::isHidden($field),
            );
            if ($fields === []) {
                continue;
            }
            $ids = PageIds::of($page);
            $named = self::namedByLabels($page, $ids);
            $loose = self::looseLabels($page, $ids);
            foreach ($fields as $field) {
                if (! isset($named[spl_object_id($field)]) && ! self::namesItself($field)) {
                    yield self::draft($field, $page, $loose[spl_object_id($field)] ?? null);
                }
            }
        }
    }

    private static function isHidden(Element $field): bool
    {
        for ($around = $field; $around instanceof Element; $around = $around->parent) {
            $isHidden = $around->attribute('hidden') !== null
                || $around->value('aria-hidden') === 'true'
                || preg_match('/display\s*:\s*none/i', $around->value('style') ?? '') === 1;
            if ($isHidden || $around->name === 'template') {
                return true;
            }
        }

        return false;
    }

    private static function namesItself(Element $field): bool
    {
        foreach (['aria-label', 'aria-labelledby', 'title'] as $attribute) {
            if (trim($field->value($attribute) ?? '') !== '') {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, true> fields whose label says something, by their object id */
    private static function namedByLabels(Page $page, PageIds $ids): array
    {
        $named = [];
        foreach ($page->named('label') as $label) {
            $for = $label->value('for');
            $field = $for === null ? self::firstFieldIn($label) : $ids->element($for);
            if ($field !== null && Label::of($label) !== '') {
                $named[spl_object_id($field)] = true;
            }
        }

        return $named;
    }

    private static function firstFieldIn(Element $label): ?Element
    {
        foreach ($label->elements() as $element) {
            $field = FormFields::isLabelable($element) ? $element : self::firstFieldIn($element);
            if ($field !== null) {
                return $field;
            }
        }

        return null;
    }

    /** @return array<int, Element> labels that lead nowhere, by the object id of the field behind each */
    private static function looseLabels(Page $page, PageIds $ids): array
    {
        $found = $last = [];
        foreach ($page->elements as $element) {
            $for = $element->name === 'label' ? $element->value('for') : null;
            $around = $element->parent === null ? 0 : spl_object_id($element->parent);
            if ($for !== null && ! FormFields::isLabelable($ids->element($for) ?? $element)) {
                $last[$around] = $element;
            } elseif (isset($last[$around]) && FormFields::wantsLabel($element)) {
                $found[spl_object_id($element)] = $last[$around];
                unset($last[$around]);
            }
        }

        return $found;
    }

    /** @param  Element|null  $loose  the label before it that leads nowhere */
    private static function draft(Element $field, Page $page, ?Element $loose): Draft
    {
        $placeholder = trim($field->value('placeholder') ?? '');
        $id = $field->value('id') ?? '';

        return Draft::at($page, $field)
            ->anchored('!label')
            ->says($placeholder === ''
                ? "This `<{$field->name}>` has no label, so readers cannot know what to type."
                : 'This field has only a placeholder, which goes away as soon as somebody types. It needs a label too.')
            ->remedy($id === ''
                ? 'Type `<label>`, the words, and the field inside it: `<label>Your name <input …></label>`.'
                : "Type `<label for=\"$id\">…</label>` before it.")
            ->causedBy(...($loose === null ? [] : [self::placeOf($loose, $page)]))
            ->folded($id === '' ? "label {$field->name} ".($placeholder === '' ? 'none' : 'placeholder') : '');
    }

    private static function placeOf(Element $label, Page $page): string
    {
        $for = $label->attribute('for');

        return Subject::place($page->path(), ($for?->valueSpan() ?? $label->place())->start);
    }
}
