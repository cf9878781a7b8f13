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
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Condition\AtRuleCheck;
use InkedMargin\Core\Style\Syntax\AtRuleNames;
use InkedMargin\Core\Style\Syntax\AtRuleNode;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\SyntaxRule;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\StyleSlip;

/** A rule that begins with `@` and that browsers skip: misspelt, in the wrong place, or with a part that is wrong. */
final readonly class AtRule extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/at-rule',
            'Broken at-rule',
            Weight::Fault,
            ProofMark::Change,
            'A rule that begins with `@`, such as `@media`, and that browsers cannot read.',
            'Browsers skip an at-rule that they cannot read, with all that is in it. The page then looks as if '
                .'it were not there, often only on some screens.',
            Citation::css('CSS Syntax 3', '8.2 At-rules', 'css-syntax-3/#at-rules'),
            ['style/syntax'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            if (! $source->isAttribute()) {
                yield from $this->late($source);
                yield from $this->inRules($source, $source->css->rules());
            }
        }
    }

    /**
     * @param  list<SyntaxRule>  $rules
     * @return iterable<Draft>
     */
    private function inRules(StyleSource $source, array $rules): iterable
    {
        foreach ($rules as $rule) {
            if (! $rule instanceof AtRuleNode || ! $source->isReliableAt($rule->span()->start)) {
                continue;
            }
            $draft = $this->ofRule($source, $rule);
            if ($draft !== null) {
                yield $draft;
            } elseif (AtRuleNames::holdsRules($rule->name())) {
                yield from $this->inRules($source, $rule->rules());
            }
        }
    }

    private function ofRule(StyleSource $source, AtRuleNode $rule): ?Draft
    {
        $name = $rule->name();
        if (! AtRuleNames::isKnown($name)) {
            return $this->unknown($source, $rule, $name);
        }
        if ($rule->open === null && AtRuleNames::takesBlock($name)) {
            return $this->draft('no-block', $source, $rule, "`@$name` has no block, so it does nothing.")
                ->remedy('Type its rules between `{` and `}` after it, or remove it.');
        }
        if ($rule->open !== null && AtRuleNames::isStatement($name)) {
            return $this->draft('block', $source, $rule, "`@$name` takes no block, so browsers skip it.")
                ->remedy("End `@$name` with `;`, and put the rules behind it.");
        }
        $slip = AtRuleCheck::of($rule);

        return $slip === null ? $this->incomplete($source, $rule) : $this->condition($source, $rule, $slip);
    }

    private function unknown(StyleSource $source, AtRuleNode $rule, string $name): ?Draft
    {
        $isOther = AtRuleNames::isOfAnotherLanguage($name);
        $meant = $isOther ? null : AtRuleNames::meant($name);
        if ($meant === null && ! $isOther) {
            return null;
        }
        $span = $rule->tokens->span($rule->first, $rule->first);
        $draft = $this->draft($isOther ? 'unknown' : 'misspelt', $source, $rule, "CSS has no `@$name`, "
            .'so browsers skip it and all that is in it.');

        return $meant === null
            ? $draft->remedy("`@$name` is not CSS: write what it stands for.")
            : $draft->remedy("Type `@$meant`.")->mend(Mend::of(new Edit($source->file, $span, "@$meant")));
    }

    private function condition(StyleSource $source, AtRuleNode $rule, StyleSlip $slip): Draft
    {
        return Draft::inCss($source, $slip->span, "condition:{$rule->name()} {$rule->prelude()}")
            ->variant('condition')
            ->says($slip->message)
            ->remedy($slip->remedy)
            ->mend(Mend::replacing($source->file, $slip->span, $slip->replacement))
            ->folded("condition {$rule->prelude()}");
    }

    /** `@font-face` without its two descriptors (CSS Fonts 4, section 4.2), `@keyframes` without a name. */
    private function incomplete(StyleSource $source, AtRuleNode $rule): ?Draft
    {
        $has = array_map(fn (Declaration $one) => $one->name, $rule->declarations());
        if ($rule->name() === 'font-face' && ! in_array('font-family', $has, true)) {
            return $this->draft('no-family', $source, $rule, 'This font has no name, so nothing can use it.')
                ->remedy('Type `font-family: "…";` with a name of your choice in the block.');
        }
        if ($rule->name() === 'font-face' && ! in_array('src', $has, true)) {
            return $this->draft('no-source', $source, $rule, 'Nothing says where this font is, so browsers skip it.')
                ->remedy('Type `src: url("…");` with the path of the font’s file in the block.');
        }
        $isNamed = in_array($rule->tokens->type($rule->preludeFrom), [TokenType::Ident, TokenType::String], true);

        return $rule->name() !== 'keyframes' || $isNamed ? null : $this
            ->draft('no-name', $source, $rule, 'These keyframes have no name, so no animation can use them.')
            ->remedy('Type a name after `@keyframes`, and the same name in `animation`.');
    }

    /** @return iterable<Draft> imports behind other rules (CSS Cascade 5, section 2) */
    private function late(StyleSource $source): iterable
    {
        $first = null;
        foreach ($source->css->rules() as $rule) {
            $name = $rule instanceof AtRuleNode ? $rule->name() : null;
            if ($name === 'import' && $first !== null && $rule->open === null) {
                yield $this->lateImport($source, $rule, $first);
            }
            $mayPrecede = in_array($name, ['import', 'charset'], true) || ($name === 'layer' && $rule->open === null);
            if (! $mayPrecede && ($name === null || AtRuleNames::isKnown($name))) {
                $first ??= $rule;
            }
        }
    }

    private function lateImport(StyleSource $source, SyntaxRule $rule, SyntaxRule $first): Draft
    {
        $span = $rule->span();
        $css = $source->css->tokens;
        $end = $span->end + ($css->type($rule->preludeTo) === TokenType::Semicolon ? 1 : 0);
        $written = rtrim($css->rawBetween($rule->first, max($rule->first, $rule->preludeTo - 1)));

        return $this->draft('late-import', $source, $rule, 'This `@import` comes after other rules, so browsers skip it.')
            ->mark(ProofMark::Move)
            ->remedy('Move it to the top of the stylesheet, before all other rules.')
            ->mend(Mend::of(
                Edit::insert($source->file, $first->span()->start, "$written;\n"),
                new Edit($source->file, new Span($span->start, $end), ''),
            ));
    }

    private function draft(string $variant, StyleSource $source, SyntaxRule $rule, string $message): Draft
    {
        $name = $rule->tokens->raw($rule->first);
        $span = $rule->tokens->span($rule->first, $rule->first);

        return Draft::inCss($source, $span, "$variant:$name ".English::excerpt($rule->prelude(), 50))
            ->variant($variant)
            ->says($message)
            ->folded("$variant $name {$rule->prelude()}");
    }
}
