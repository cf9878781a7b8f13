<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Style\Selector\RuleSelectors;
use InkedMargin\Core\Style\Selector\SelectorError;
use InkedMargin\Core\Style\Selector\SelectorList;
use InkedMargin\Core\Style\Selector\SelectorParser;
use InkedMargin\Core\Style\Syntax\AtRuleNames;
use InkedMargin\Core\Style\Syntax\AtRuleNode;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\Parser;
use InkedMargin\Core\Style\Syntax\QualifiedRule;
use InkedMargin\Core\Style\Syntax\StyleSheet;
use InkedMargin\Core\Style\Syntax\SyntaxRule;
use InkedMargin\Core\Style\Value\ValueCheck;
use InkedMargin\Core\Style\Value\Verdict;

/** The style rules of a sheet in their order, also those that stand in other rules. */
final class RuleReader
{
    /** @var list<StyleRule> */
    private array $rules = [];

    private function __construct(private readonly string $sheet, private readonly Origin $origin)
    {
    }

    /**
     * @param  string  $sheet  its path, or that of the page it stands in
     * @param  string  $layer  the layer that it is imported into
     * @param  bool  $applies  whether the media that it is linked for are those of a screen
     * @return list<StyleRule>
     */
    public static function read(
        StyleSheet $css,
        string $sheet,
        string $layer = '',
        bool $applies = true,
        Origin $origin = Origin::Author,
    ): array {
        $reader = new self($sheet, $origin);
        $reader->content($css->content, null, $layer, $applies);

        return $reader->rules;
    }

    /** @param  list<Declaration|SyntaxRule>  $content */
    private function content(array $content, ?StyleRule $around, string $layer, bool $applies): void
    {
        $loose = array_values(array_filter($content, fn (Declaration|SyntaxRule $one) => $one instanceof Declaration));
        // Declarations in a conditional rule inside a style rule are that rule's own (CSS Nesting 1, 4.2).
        if ($around !== null && $loose !== []) {
            $this->rules[] = $this->ruleOf($around->written, $around->selector, $loose, $layer, $applies);
        }
        foreach ($content as $one) {
            if ($one instanceof QualifiedRule) {
                $this->style($one, $around?->selector, $layer, $applies);
            } elseif ($one instanceof AtRuleNode && AtRuleNames::holdsRules($one->name())) {
                $this->conditional($one, $around, $layer, $applies);
            }
        }
    }

    /** @param  list<Declaration>  $declarations */
    private function ruleOf(
        QualifiedRule $written,
        ?SelectorList $selector,
        array $declarations,
        string $layer,
        bool $applies,
    ): StyleRule {
        return new StyleRule(
            $this->sheet,
            $written,
            $selector,
            $declarations,
            $layer,
            $applies,
            $this->origin,
        );
    }

    private function style(QualifiedRule $rule, ?SelectorList $around, string $layer, bool $applies): void
    {
        try {
            $selector = $around === null
                ? RuleSelectors::of($rule)
                : SelectorParser::read($rule->tokens, $rule->preludeFrom, $rule->preludeTo, $around);
        } catch (SelectorError) {
            $selector = null;
        }
        $read = $this->ruleOf($rule, $selector, $rule->declarations(), $layer, $applies);
        $this->rules[] = $read;
        $nested = $rule->rules();
        // In a rule that matches nothing, nothing else does.
        if ($nested !== [] && $selector !== null) {
            $this->content($nested, $read, $layer, $applies);
        }
    }

    private function conditional(AtRuleNode $rule, ?StyleRule $around, string $layer, bool $applies): void
    {
        $name = $rule->name();
        $applies = $applies && match ($name) {
            'media' => MediaQuery::holds($rule->prelude()),
            'supports' => self::supports($rule->prelude()),
            'layer', 'scope' => true,
            // Their conditions are those of a page that is laid out.
            default => false,
        };
        if ($name === 'layer') {
            $own = trim($rule->prelude());
            $own = $own === '' ? '#'.$rule->span()->start : $own;
            $layer = $layer === '' ? $own : "$layer.$own";
        }
        $this->content($rule->content, $around, $layer, $applies);
    }

    /**
     * CSS Conditional 3, section 2, as far as declarations, `not`, `and` and `or` go; what is not known is supported.
     */
    private static function supports(string $condition): bool
    {
        $condition = trim($condition);
        if (preg_match('/^not\b\s*(.+)$/is', $condition, $parts) === 1) {
            return ! self::supports($parts[1]);
        }
        if (preg_match('/^\(([^()]*(?:\([^()]*\)[^()]*)*)\)$/s', $condition, $parts) !== 1) {
            return true;
        }
        $read = [...Parser::declarations($parts[1])->declarations()];

        return $read === [] || ! in_array(
            ValueCheck::of($read[0])->verdict,
            [Verdict::UnknownProperty, Verdict::Invalid],
            true,
        );
    }
}
