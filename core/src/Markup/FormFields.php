<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** What a reader fills in, and what names it (HTML Standard, 4.10.2 and 4.10.4). */
final class FormFields
{
    /** Labelable elements (HTML Standard, 4.10.2, "Categories"). */
    private const LABELABLE = ['button', 'input', 'meter', 'output', 'progress', 'select', 'textarea'];

    /** Inputs that carry their own words, or that nobody sees. */
    private const SPEAKING = ['hidden', 'submit', 'reset', 'button', 'image'];

    public static function isLabelable(Element $element): bool
    {
        return str_contains($element->name, '-')
            || (in_array($element->name, self::LABELABLE, true) && self::typeOf($element) !== 'hidden');
    }

    /** Whether a reader has to be told what belongs into it. */
    public static function wantsLabel(Element $element): bool
    {
        return in_array($element->name, ['select', 'textarea'], true)
            || ($element->name === 'input' && ! in_array(self::typeOf($element), self::SPEAKING, true));
    }

    private static function typeOf(Element $element): string
    {
        return $element->name === 'input' ? strtolower(trim($element->value('type') ?? 'text')) : '';
    }
}
