<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\MarkupNames;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Selector\PseudoClass;
use InkedMargin\Core\Style\Selector\RuleSelectors;
use InkedMargin\Core\Style\Selector\SelectorError;
use InkedMargin\Core\Style\Selector\TypeSelector;

/** A selector of an element, or a pseudo-class, that there is not (HTML Standard for names, Selectors Level 4). */
final readonly class UnknownSelector extends Rule
{
    /** Of SVG and MathML, which may stand in pages; and of the boxes that other languages have. */
    /** Pseudo-classes and pseudo-elements that a misspelt one is likely to mean. */
    private const COMMON = [
        'link', 'any-link', 'first-child', 'last-child', 'nth-child', 'not', 'root', 'before', 'after', 'first-line',
        'first-letter', 'only-child', 'empty', 'checked', 'disabled', 'enabled', 'first-of-type', 'last-of-type',
        'nth-of-type', 'is', 'where', 'has', 'selection', 'placeholder', 'marker',
    ];

    private const OTHERS = [
        'svg', 'path', 'circle', 'rect', 'line', 'polygon', 'polyline', 'ellipse', 'g', 'text', 'tspan', 'use', 'defs',
        'symbol',
        'stop', 'mask', 'pattern', 'marker', 'image', 'lineargradient', 'radialgradient', 'clippath', 'foreignobject',
        'math', 'mi', 'mo', 'mn',
        'mrow', 'from', 'to', 'blink', 'isindex', 'layer', 'spacer', 'multicol',
    ];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/unknown-selector',
            'Unknown selector',
            Weight::Fault,
            ProofMark::Change,
            'A selector names an element or a pseudo-class that does not exist.',
            'There is no such element or pseudo-class, so the rule styles nothing. In a list with '
                .'commas, one unknown pseudo-class switches off the whole rule.',
            Citation::css('Selectors Level 4', 'Invalid Selectors and Error Handling', 'selectors-4/#invalid'),
            ['style/syntax', 'style/near-miss'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $elements = ElementTable::load();
        $reach = $exam->site->fact(RuleReach::class);
        $names = $exam->site->fact(MarkupNames::class);
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            foreach ($source->rules() as $rule) {
                if ($rule->selector === null) {
                    $finding = $this->pseudo($source, $rule);
                    if ($finding !== null) {
                        yield $finding;
                    }

                    continue;
                }
                foreach (RuleReach::partsOf($rule) as $part) {
                    $name = $part instanceof TypeSelector ? strtolower($part->name ?? '*') : '*';
                    if ($name !== '*' && ! $names->haveSpacedIdOf($rule)
                        && ! $elements->knows($name) && ! in_array($name, self::OTHERS, true)
                        && $reach->elements($rule) === [] && preg_match('/^[a-z][a-z0-9]*$/', $name) === 1) {
                        yield $this->element($source, $rule, $name, NearestName::of($name, $elements->current()));
                    }
                }
            }
        }
    }

    private function element(StyleSource $source, StyleRule $rule, string $name, ?string $meant): Draft
    {
        $prelude = $rule->written->preludeSpan();
        $span = self::placeOf($name, $rule);

        return Draft::inCss($source, $span, "element:$name")
            ->variant('element')
            ->says("HTML has no element `$name`, so this rule does nothing.")
            ->remedy($meant === null ? "Type the name of an element, or `.$name` for a class." : "Type `$meant`.")
            ->mend(Mend::replacing($source->file, $span, $meant))
            ->about(Subject::inCss($source, $prelude))
            ->folded("element $name");
    }

    /** The place of the element’s name in the selector */
    private static function placeOf(string $name, StyleRule $rule): Span
    {
        $prelude = $rule->written->preludeSpan();
        $at = preg_match(
            '/(?<![\w.#:-])'.preg_quote($name, '/').'(?![\w-])/i',
            $rule->written->prelude(),
            $match,
            PREG_OFFSET_CAPTURE,
        ) === 1
            ? $match[0][1]
            : 0;

        return new Span($prelude->start + $at, $prelude->start + $at + strlen($name));
    }

    private function pseudo(StyleSource $source, StyleRule $rule): ?Draft
    {
        $written = $rule->written;
        try {
            RuleSelectors::of($written);
        } catch (SelectorError $error) {
            if ($error->unknown === null) {
                return null;
            }

            return $this->unknownPseudo($source, $rule, $error->span, $error->unknown);
        }

        return null;
    }

    private function unknownPseudo(StyleSource $source, StyleRule $rule, Span $span, string $unknown): Draft
    {
        $meant = NearestName::of(trim($unknown, ':()'), [...PseudoClass::STATES, ...self::COMMON]);
        $colons = str_starts_with($unknown, '::') ? '::' : ':';
        $isFunction = str_ends_with($unknown, '()');
        $text = $colons.$meant.($isFunction ? '(' : '');

        return Draft::inCss($source, $span, "pseudo:$unknown")
            ->variant('pseudo')
            ->says("CSS has no `$unknown`, so browsers skip the whole rule.")
            ->remedy($meant === null
                ? 'Check its spelling, or remove it.'
                : "Type `$colons$meant".($isFunction ? '()' : '').'`.')
            ->mend($meant === null ? null : Mend::of(new Edit($source->file, $span, $text)))
            ->about(Subject::inCss($source, $rule->written->preludeSpan()));
    }
}
