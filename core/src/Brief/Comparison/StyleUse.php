<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Style\Cascade\Longhands;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Selector\SelectorError;
use InkedMargin\Core\Style\Selector\SelectorList;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Value\Definitions;
use InkedMargin\Core\Style\Value\ValueCheck;
use InkedMargin\Core\Style\Value\Verdict;

/**
 * Something that a stylesheet has to hold: a selector, a property, or a property of a selector, perhaps with its value.
 */
final readonly class StyleUse
{
    /**
     * @param  string|null  $selector  null for any
     * @param  string|null  $property  null for any
     * @param  string|null  $value  null for any
     */
    private function __construct(
        public string $written,
        private ?string $selector,
        private ?string $property,
        private ?string $value,
    ) {
    }

    /** @return self|null null where it is none of these */
    public static function read(string $written): ?self
    {
        $written = trim($written);
        if (preg_match('/^([^{}]+)\{\s*([\w-]+)\s*(?::\s*([^;{}]+?))?\s*;?\s*\}$/', $written, $parts) === 1) {
            $isKnown = Definitions::isProperty(strtolower($parts[2])) && self::isSelector(trim($parts[1]));

            return $isKnown ? new self($written, trim($parts[1]), strtolower($parts[2]), $parts[3] ?? null) : null;
        }
        if (
            preg_match('/^([\w-]+)\s*(?::\s*([^;{}]+?))?;?$/', $written, $parts) === 1
            && Definitions::isProperty(strtolower($parts[1]))
        ) {
            return new self($written, null, strtolower($parts[1]), $parts[2] ?? null);
        }

        return self::isSelector($written) ? new self($written, $written, null, null) : null;
    }

    private static function isSelector(string $written): bool
    {
        try {
            SelectorList::parse($written);
        } catch (SelectorError) {
            return false;
        }

        return true;
    }

    /** @param  list<StyleRule>  $rules */
    public function isIn(array $rules): bool
    {
        foreach ($rules as $rule) {
            if ($this->isSelectorOf($rule) && ($this->property === null || $this->isDeclaredIn($rule))) {
                return true;
            }
        }

        return false;
    }

    /** What is to be typed. */
    public function remedy(): string
    {
        $property = $this->property === null ? '…' : "$this->property: ".($this->value ?? '…').';';

        return $this->selector === null ? "Use `$property` in a rule." : "Type `$this->selector { $property }`.";
    }

    /**
     * Its selector is one of the rule's, or a part of one that stands by itself, such as `a:hover` in `nav a:hover`.
     */
    private function isSelectorOf(StyleRule $rule): bool
    {
        if ($this->selector === null) {
            return true;
        }
        $wanted = preg_quote((string) preg_replace('/\s+/', ' ', $this->selector), '/');
        foreach ($rule->selector->alternatives ?? [] as $alternative) {
            $written = (string) preg_replace('/\s+/', ' ', $alternative->written);
            if (preg_match("/(?:^|[\s>+~])$wanted(?:$|[\s>+~])/", $written) === 1) {
                return true;
            }
        }

        return false;
    }

    private function isDeclaredIn(StyleRule $rule): bool
    {
        $wanted = Longhands::of((string) $this->property);
        foreach ($rule->declarations as $declaration) {
            if (ValueCheck::of($declaration)->verdict === Verdict::Valid && $this->hasValue($declaration)
                && array_intersect($wanted, Longhands::of($declaration->name)) !== []) {
                return true;
            }
        }

        return false;
    }

    private function hasValue(Declaration $declaration): bool
    {
        $bare = fn (string $value) => strtolower((string) preg_replace('/\s+/', ' ', trim($value)));

        return $this->value === null || $bare($declaration->value()) === $bare($this->value);
    }
}
