<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/** One place in which a page is not what its starter file asks for. */
final readonly class StarterSlip
{
    public const REPLACE = 'Write your own in its place.';

    /** Characters of a value or passage that are shown. */
    private const SHOWN = 60;

    /**
     * @param  'unchanged'|'emptied'|'lost'|'changed'|'added'  $variant
     * @param  Element  $element  of the page: the one that it is about, or else one beside or around it
     * @param  string  $anchor  tells it apart from others of the element
     * @param  int  $cost  how many elements of the starter file are not as asked
     * @param  Span|null  $span  null for the whole element
     */
    public function __construct(
        public string $variant,
        public ProofMark $mark,
        public Element $element,
        public string $message,
        public string $remedy,
        public string $anchor = '',
        public int $cost = 1,
        public ?Span $span = null,
    ) {
    }

    /** @param  string  $passage  what was to be replaced */
    public static function unchanged(Element $element, string $passage, int $nth): self
    {
        return new self(
            'unchanged',
            ProofMark::Change,
            $element,
            self::messageOfUnchanged($passage),
            self::REPLACE,
            "unchanged:$nth",
        );
    }

    public static function messageOfUnchanged(string $passage): string
    {
        return '“'.English::excerpt($passage, self::SHOWN).'” comes from the starter files; the brief asks you to '
            .'replace it.';
    }

    /**
     * @param  string  $passage  what was to be replaced
     * @param  int  $cost  how many passages
     */
    public static function emptied(Element $place, string $passage, int $cost): self
    {
        $short = English::excerpt($passage, 60);

        return new self(
            'emptied',
            ProofMark::Insert,
            $place,
            "“{$short}” was to be replaced, and nothing stands in its place.",
            'Write your own here.',
            'emptied:'.substr(sha1($passage), 0, 8),
            $cost,
        );
    }

    /** Whether it is about something that has to change. */
    public function isReplacement(): bool
    {
        return $this->variant === 'unchanged' || $this->variant === 'emptied';
    }

    /**
     * @param  non-empty-list<StarterFault>  $faults
     * @param  int  $cost  how many elements of the starter file are not as asked
     */
    public static function changed(Element $element, array $faults, int $cost): self
    {
        return new self(
            'changed',
            ProofMark::Change,
            $element,
            implode(' ', array_map(fn (StarterFault $one) => $one->message, $faults)),
            implode(' ', array_map(fn (StarterFault $one) => $one->remedy, $faults)),
            'changed',
            $cost,
            count($faults) === 1 ? $faults[0]->span : null,
        );
    }

    /** The start tag of an element, as far as it fits in a sentence. */
    public static function tag(Element $element): string
    {
        $attributes = array_map(self::written(...), array_values($element->attributes));
        $tag = '<'.implode(' ', [$element->name, ...$attributes]).'>';

        return mb_strlen($tag) > self::SHOWN ? "<$element->name>" : $tag;
    }

    /** @return list<StarterFault> name and attributes that differ */
    public static function faultsOfTag(Element $old, Element $new): array
    {
        $faults = [];
        if ($old->name !== $new->name) {
            $faults[] = new StarterFault(
                "The starter file has `<$old->name>` here, not `<$new->name>`.",
                "Type `<$old->name>` and `</$old->name>`.",
            );
        }
        foreach ($old->attributes as $name => $attribute) {
            // PHP makes a whole number of a name that is one.
            $there = $new->attribute((string) $name);
            if ($there === null || self::value($there) !== self::value($attribute)) {
                $wanted = self::written($attribute);
                $faults[] = new StarterFault(
                    $there === null
                        ? "`$wanted` of the starter file is missing here."
                        : "The starter file has `$wanted` here, not `".self::written($there).'`.',
                    "Type `$wanted`.",
                    $there?->span(),
                );
            }
        }
        foreach (array_diff_key($new->attributes, $old->attributes) as $attribute) {
            $extra = self::written($attribute);
            $faults[] = new StarterFault(
                "`$extra` is not in the starter file.",
                "Remove `$extra`.",
                $attribute->span(),
            );
        }

        return $faults;
    }

    private static function value(Attribute $attribute): string
    {
        return trim(preg_replace('/[ \t\n\f\r]+/', ' ', $attribute->value) ?? '');
    }

    private static function written(Attribute $attribute): string
    {
        $value = self::value($attribute);

        return $value === '' ? $attribute->name : "$attribute->name=\"".English::excerpt($value, self::SHOWN).'"';
    }
}
