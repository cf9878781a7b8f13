<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;

/** `[name]` and its kin (Selectors Level 4, sections 6.1 to 6.4). */
final readonly class AttributeSelector implements Simple
{
    /** Their values mean the same in any letter case (HTML Standard, 15.3.4 "Case-sensitivity of selectors"). */
    private const ANY_CASE = [
        'accept', 'accept-charset', 'align', 'alink', 'axis', 'bgcolor', 'charset', 'checked', 'clear', 'codetype',
        'color',
        'compact', 'declare', 'defer', 'dir', 'direction', 'disabled', 'enctype', 'face', 'frame', 'hreflang',
        'http-equiv', 'lang', 'language', 'link', 'media', 'method', 'multiple', 'nohref', 'noresize', 'noshade',
        'nowrap', 'readonly', 'rel', 'rev', 'rules', 'scope', 'scrolling', 'selected', 'shape', 'target', 'text',
        'type',
        'valign', 'valuetype', 'vlink',
    ];

    private string $lower;

    /**
     * @param  string  $operator  `=`, `~=`, `|=`, `^=`, `$=`, `*=`, or '' where only the name is asked for
     * @param  string  $flag  `i`, `s` or ''
     */
    public function __construct(
        public string $name,
        public string $operator = '',
        public string $value = '',
        public string $flag = '',
    ) {
        $this->lower = strtolower($name);
    }

    public function matches(Element $element, Matching $matching): bool
    {
        $isHtml = $element->namespace === NodeNamespace::Html;
        $value = $element->value($isHtml ? $this->lower : $this->name);
        if ($value === null || $this->operator === '') {
            return $value !== null;
        }
        $wanted = $this->value;
        if ($this->flag === 'i' || ($this->flag === '' && $isHtml && in_array($this->lower, self::ANY_CASE, true))) {
            $value = strtolower($value);
            $wanted = strtolower($wanted);
        }

        return match ($this->operator) {
            '=' => $value === $wanted,
            '~=' => $wanted !== '' && in_array($wanted, preg_split('/[ \t\n\f\r]+/', $value) ?: [], true),
            '|=' => $value === $wanted || str_starts_with($value, "$wanted-"),
            '^=' => $wanted !== '' && str_starts_with($value, $wanted),
            '$=' => $wanted !== '' && str_ends_with($value, $wanted),
            default => $wanted !== '' && str_contains($value, $wanted),
        };
    }

    public function specificity(): Specificity
    {
        return new Specificity(classes: 1);
    }
}
