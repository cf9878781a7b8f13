<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\TextNode;

/** A pseudo-class without anything in brackets but words (Selectors Level 4, sections 7 to 13). */
final readonly class PseudoClass implements Simple
{
    /** Those that depend on what a reader does or has done, by which a rule may match at another time. */
    public const STATES = [
        'hover', 'active', 'focus', 'focus-visible', 'focus-within', 'visited', 'target', 'target-within', 'local-link',
        'current', 'past', 'future', 'fullscreen', 'modal', 'playing', 'paused', 'seeking', 'buffering', 'stalled',
        'muted',
        'popover-open', 'open', 'picture-in-picture', 'user-valid', 'user-invalid', 'valid', 'invalid', 'in-range',
        'out-of-range', 'indeterminate', 'autofill', 'placeholder-shown', 'blank', 'default', 'defined', 'state',
        'volume-locked', 'active-view-transition', 'interest-source', 'interest-target', 'animated-image', 'dir',
        'has-slotted', 'heading', 'high-value', 'low-value', 'optimal-value', 'target-after', 'target-before',
        'target-current', 'unchecked', 'navigation-source', 'link-to', 'nth-col', 'nth-last-col', 'xr-overlay',
        'active-view-transition-type', 'snapped', 'snapped-x', 'snapped-y', 'snapped-block', 'snapped-inline',
    ];

    /** Those that a tree of HTML never matches, or that are for the parts of other things than pages on a screen. */
    private const NEVER = [
        'host', 'host-context', 'first', 'left', 'right', 'nth', 'nth-of-page', 'first-of-page', 'last-of-page',
        'start-of-page',
    ];

    private const FIELDS = ['input', 'select', 'textarea', 'button', 'fieldset', 'optgroup', 'option'];

    /** @param  string  $argument  what was in its brackets, lower-cased; '' where it had none */
    public function __construct(public string $name, private string $argument = '')
    {
    }

    public static function isKnown(string $name): bool
    {
        return in_array($name, self::STATES, true) || in_array($name, self::NEVER, true) || in_array($name, [
            'link', 'any-link', 'root', 'scope', 'empty', 'first-child', 'last-child', 'only-child', 'first-of-type',
            'last-of-type', 'only-of-type', 'enabled', 'disabled', 'checked', 'required', 'optional', 'read-only',
            'read-write', 'lang',
        ], true) || str_starts_with($name, '-');
    }

    public function matches(Element $element, Matching $matching): bool
    {
        if (in_array($this->name, self::STATES, true)) {
            return $matching->isIn($this->name, $element);
        }

        return match ($this->name) {
            'link' => self::isLink($element) && ! $matching->isIn('visited', $element, true),
            'any-link' => self::isLink($element),
            'root', 'scope' => $element->parent === null,
            'empty' => self::isEmpty($element),
            'first-child' => $matching->placeOf($element, false, false) === 1,
            'last-child' => $matching->placeOf($element, false, true) === 1,
            'only-child' => $matching->placeOf($element, false, false) === 1
                && $matching->placeOf($element, false, true) === 1,
            'first-of-type' => $matching->placeOf($element, true, false) === 1,
            'last-of-type' => $matching->placeOf($element, true, true) === 1,
            'only-of-type' => $matching->placeOf($element, true, false) === 1
                && $matching->placeOf($element, true, true) === 1,
            'enabled' => in_array($element->name, self::FIELDS, true) && ! self::isDisabled($element),
            'disabled' => in_array($element->name, self::FIELDS, true) && self::isDisabled($element),
            'checked' => self::isChecked($element),
            'required' => self::isInput($element) && $element->attribute('required') !== null,
            'optional' => self::isInput($element) && $element->attribute('required') === null,
            'read-write' => self::isWritable($element),
            'read-only' => $element->namespace === NodeNamespace::Html && ! self::isWritable($element),
            'lang' => $this->isInLanguage($element),
            default => false,
        };
    }

    public function specificity(): Specificity
    {
        return new Specificity(classes: 1);
    }

    /** HTML Standard, 4.16.3: what `:link` and `:visited` may match. */
    public static function isLink(Element $element): bool
    {
        return ($element->name === 'a' || $element->name === 'area') && $element->attribute('href') !== null;
    }

    private static function isEmpty(Element $element): bool
    {
        foreach ($element->children as $child) {
            if ($child instanceof Element || ($child instanceof TextNode && $child->text !== '')) {
                return false;
            }
        }

        return true;
    }

    private static function isInput(Element $element): bool
    {
        return in_array($element->name, ['input', 'select', 'textarea'], true);
    }

    /** HTML Standard, 4.10.18.5 and 4.10.15: its own attribute, or that of a fieldset or group around. */
    private static function isDisabled(Element $element): bool
    {
        if ($element->attribute('disabled') !== null) {
            return true;
        }
        if ($element->name === 'option') {
            return $element->parent?->name === 'optgroup' && $element->parent->attribute('disabled') !== null;
        }
        $inside = $element;
        for ($around = $element->parent; $around instanceof Element; $inside = $around, $around = $around->parent) {
            if ($around->name === 'fieldset' && $around->attribute('disabled') !== null && $inside->name !== 'legend') {
                return $element->name !== 'optgroup';
            }
        }

        return false;
    }

    private static function isChecked(Element $element): bool
    {
        return match ($element->name) {
            'input' => $element->attribute('checked') !== null
                && in_array(strtolower($element->value('type') ?? ''), ['checkbox', 'radio'], true),
            'option' => $element->attribute('selected') !== null,
            default => false,
        };
    }

    private static function isWritable(Element $element): bool
    {
        if ($element->namespace !== NodeNamespace::Html) {
            return false;
        }
        $isOpen = $element->attribute('readonly') === null && $element->attribute('disabled') === null;
        $isField = $element->name === 'textarea' || ($element->name === 'input' && ! in_array(
            strtolower($element->value('type') ?? ''),
            ['hidden', 'button', 'submit', 'reset', 'image', 'checkbox', 'radio', 'range', 'color', 'file'],
            true,
        ));
        $editable = strtolower($element->value('contenteditable') ?? 'false');

        return ($isField && $isOpen) || $editable === '' || $editable === 'true' || $editable === 'plaintext-only';
    }

    private function isInLanguage(Element $element): bool
    {
        for ($around = $element; $around instanceof Element; $around = $around->parent) {
            $language = $around->value('lang') ?? $around->value('xml:lang');
            if ($language !== null) {
                $ranges = preg_split('/\s*,\s*/', trim(str_replace(['"', "'"], '', $this->argument))) ?: [];

                return array_filter($ranges, fn (string $range) => $range !== '' && ($range === '*'
                    || strcasecmp($language, $range) === 0 || stripos($language, "$range-") === 0)) !== [];
            }
        }

        return false;
    }
}
