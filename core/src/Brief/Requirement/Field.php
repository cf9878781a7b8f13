<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** One field of a brief, declared once: reader, JSON Schema, documentation and form are made from it. */
final readonly class Field
{
    /**
     * @param  string  $about  what it means, as half a sentence for the documentation
     * @param  list<string>  $choices  of a choice, or the only items that a list of texts may have
     * @param  bool  $takesHandle  whether `{student.handle}` stands for something in it
     * @param  float  $most  the largest number, or the greatest length of a text in characters
     */
    private function __construct(
        public string $name,
        public FieldType $type,
        public string $about,
        public bool $required = false,
        public array $choices = [],
        public float $least = 0,
        public float $most = 500,
        public bool $takesHandle = false,
    ) {
    }

    public static function text(string $name, string $about, bool $required = false, int $longest = 500): self
    {
        return new self($name, FieldType::Text, $about, $required, most: $longest);
    }

    /** @param  list<string>  $choices  '' or empty when anything goes */
    public static function texts(string $name, string $about, bool $required = false, array $choices = []): self
    {
        return new self($name, FieldType::Texts, $about, $required, $choices);
    }

    public static function selector(string $name, string $about): self
    {
        return new self($name, FieldType::Selector, $about, true);
    }

    /** A text in which `*` and `{student.handle}` stand for others. */
    public static function namePattern(string $name, string $about): self
    {
        return new self($name, FieldType::Text, "$about: a pattern with `*` and `{student.handle}`", takesHandle: true);
    }

    public static function number(string $name, string $about, float $most, float $least = 0): self
    {
        return new self($name, FieldType::Number, $about, least: $least, most: $most);
    }

    public static function wholeNumber(string $name, string $about, int $least = 0, int $most = 100_000): self
    {
        return new self($name, FieldType::WholeNumber, $about, least: $least, most: $most);
    }

    public static function flag(string $name, string $about): self
    {
        return new self($name, FieldType::Flag, $about);
    }

    /** @param  list<string>  $choices */
    public static function choice(string $name, string $about, array $choices, bool $required = false): self
    {
        return new self($name, FieldType::Choice, $about, $required, $choices);
    }

    public static function steps(string $name, string $about): self
    {
        return new self($name, FieldType::Steps, $about);
    }

    public static function parts(string $name, string $about): self
    {
        return new self($name, FieldType::Parts, $about, true);
    }

    public static function entries(string $name, string $about): self
    {
        return new self($name, FieldType::Entries, $about);
    }

    public static function pages(string $name, string $about): self
    {
        return new self($name, FieldType::Pages, $about);
    }

    /** What is wrong with a value for this field; null when nothing is. */
    public function objection(mixed $value): ?string
    {
        return match ($this->type) {
            FieldType::Text, FieldType::Selector => $this->objectionToText($value),
            FieldType::Texts => $this->objectionToTexts($value),
            FieldType::Number, FieldType::WholeNumber => $this->objectionToNumber($value),
            FieldType::Flag => is_bool($value) ? null : 'yes or no (true or false) was expected',
            FieldType::Choice => in_array($value, $this->choices, true)
                ? null
                : 'one of '.implode(', ', $this->choices).' was expected',
            FieldType::Parts, FieldType::Entries, FieldType::Pages, FieldType::Steps => null,
        };
    }

    private function objectionToText(mixed $value): ?string
    {
        if (! is_string($value) && ! is_int($value) && ! is_float($value)) {
            return 'text was expected';
        }
        $text = (string) $value;

        return match (true) {
            ! mb_check_encoding($text, 'UTF-8') => 'this text is not valid Unicode',
            preg_match('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', $text) === 1 => 'this text has a control character in it',
            mb_strlen($text) > $this->most => "this text is longer than {$this->most} characters",
            $this->required && trim($text) === '' => 'is missing',
            ! $this->takesHandle
                && str_contains($text, '{student.') => 'only a requirement of kind "names" knows the student',
            default => null,
        };
    }

    private function objectionToTexts(mixed $value): ?string
    {
        foreach (is_array($value) ? $value : [$value] as $item) {
            if (! is_string($item)) {
                return 'a list of texts was expected';
            }
            $objection = $this->objectionToText($item);
            if ($objection !== null) {
                return $objection;
            }
            if ($this->choices !== [] && ! in_array($item, $this->choices, true)) {
                return "\"$item\" is not one of ".implode(', ', $this->choices);
            }
        }

        return $this->required && $value === [] ? 'at least one is needed' : null;
    }

    private function objectionToNumber(mixed $value): ?string
    {
        $isNumber = is_int($value) || ($this->type === FieldType::Number && is_float($value) && is_finite($value));
        if ($isNumber && $value >= $this->least && $value <= $this->most) {
            return null;
        }
        $kind = $this->type === FieldType::Number ? 'a number' : 'a whole number';

        return "$kind from {$this->least} to {$this->most} was expected";
    }
}
