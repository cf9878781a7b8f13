<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Selector;

use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\QualifiedRule;

/** What was plainly meant by a selector that cannot be read, in words, and the changes that make it so. */
final readonly class SelectorFix
{
    /**
     * @param  Span  $span  bytes of the file that are wrong
     * @param  list<Change>  $changes  of the file
     */
    private function __construct(public Span $span, public string $wrong, public string $remedy, public array $changes)
    {
    }

    /** Null where nothing is plainly meant. */
    public static function of(QualifiedRule $rule): ?self
    {
        return self::htmlComment($rule) ?? self::lineComment($rule) ?? self::semicolon($rule)
            ?? self::spacedPseudoClass($rule);
    }

    /** `<!-- … -->` before a rule: CSS passes over both ends, and not over what is between them. */
    private static function htmlComment(QualifiedRule $rule): ?self
    {
        $tokens = $rule->tokens;
        $prelude = $rule->preludeSpan();
        $at = $prelude->start - $tokens->offset;
        while ($at > 0 && ctype_space($tokens->css[$at - 1])) {
            $at--;
        }
        if ($at < 4 || substr_compare($tokens->css, '<!--', $at - 4, 4) !== 0
            || preg_match('/^(.*?)\s*-->/s', $rule->prelude(), $comment) !== 1) {
            return null;
        }
        $start = $tokens->offset + $at - 4;
        $end = $prelude->start + strlen($comment[0]);

        return new self(
            new Span($start, $end),
            '`<!-- … -->` is a comment in HTML only, so browsers skip the rule after it.',
            'Type `/* '.English::excerpt($comment[1], 40).' */`.',
            [Change::replace(new Span($start, $start + 4), '/*'), Change::replace(new Span($end - 3, $end), '*/')],
        );
    }

    /** `// …` before a rule, up to the end of its line. */
    private static function lineComment(QualifiedRule $rule): ?self
    {
        if (preg_match('~^//[^\S\n]*([^\n]*?)[^\S\n]*(?=\n)~', $rule->prelude(), $comment) !== 1) {
            return null;
        }
        $start = $rule->preludeSpan()->start;
        $end = $start + strlen(rtrim($comment[0]));

        return new self(
            new Span($start, $end),
            'CSS has no comments with `//`, so browsers skip the rule after it.',
            'Type `/* '.English::excerpt(rtrim($comment[1]), 40).' */`.',
            [Change::replace(new Span($start, $start + 2), '/*'), Change::insert($end, ' */')],
        );
    }

    /** `};` before a rule. */
    private static function semicolon(QualifiedRule $rule): ?self
    {
        if (! str_starts_with($rule->prelude(), ';')) {
            return null;
        }
        $span = new Span($rule->preludeSpan()->start, $rule->preludeSpan()->start + 1);

        return new self(
            $span,
            'There is a `;` after the `}` of the rule before, so browsers skip this rule.',
            'Remove the `;`: it belongs between declarations, not between rules.',
            [Change::remove($span)],
        );
    }

    /** `a: hover`. */
    private static function spacedPseudoClass(QualifiedRule $rule): ?self
    {
        $prelude = $rule->prelude();
        if (preg_match('/(\S*:)(\s+)([a-z-]+)/i', $prelude, $found, PREG_OFFSET_CAPTURE) !== 1
            || ! PseudoClass::isKnown(strtolower($found[3][0]))) {
            return null;
        }
        $start = $rule->preludeSpan()->start;
        $space = new Span($start + $found[2][1], $start + $found[2][1] + strlen($found[2][0]));

        return new self(
            $rule->preludeSpan(),
            "`{$found[0][0]}` has a space after the colon, so browsers skip the whole rule.",
            "Type `{$found[1][0]}{$found[3][0]}`.",
            [Change::remove($space)],
        );
    }
}
