<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Selector\RuleSelectors;
use InkedMargin\Core\Style\Selector\SelectorError;
use InkedMargin\Core\Style\Selector\SelectorFix;
use InkedMargin\Core\Style\Syntax\AtRuleNode;
use InkedMargin\Core\Style\Syntax\Declaration;
use InkedMargin\Core\Style\Syntax\QualifiedRule;
use InkedMargin\Core\Style\Syntax\SyntaxError;
use InkedMargin\Core\Style\Syntax\SyntaxErrorKind;
use InkedMargin\Core\Style\Syntax\SyntaxRule;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Definitions;

/** CSS that goes against its syntax, and what a browser skips for it (CSS Syntax Level 3). */
final readonly class Syntax extends Rule
{
    /** Before a property name, by which old browsers were told apart: meant so, and passed over by all others. */
    private const HACK = '/^[*_$&+!#]\s*[\w-]+\s*:/';

    private const BLANK = " \t\r\f";

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/syntax',
            'CSS syntax error',
            Weight::Fault,
            ProofMark::Change,
            'CSS with a syntax error, so that browsers skip a part of it.',
            'A browser skips CSS that it cannot read, often up to the next `;` or `}`. One wrong '
                .'character can switch off several rules.',
            Citation::css('CSS Syntax Module Level 3', 'Error Handling', 'css-syntax-3/#error-handling'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(StyleSources::class)->all as $source) {
            yield from $this->in($source);
        }
    }

    /** @return iterable<Draft> by their place, and nothing twice */
    private function in(StyleSource $source): iterable
    {
        $swallowed = null;
        $values = self::valuesBehindSemicolons($source);
        $names = array_fill_keys(array_map(fn (Span $name) => $name->start, $values), true);
        foreach (self::causes($source->css->errors) as $error) {
            // `font-size; 13px` is one slip, at the name.
            if (isset($values[$error->span->start])) {
                continue;
            }
            // What is wrong inside of something that nothing closes is no slip of its own.
            if ($swallowed !== null && $error->span->start >= $swallowed->start) {
                continue;
            }
            $finding = isset($names[$error->span->start])
                ? $this->semicolonForColon($source, $error)
                : $this->ofError($source, $error);
            if ($finding !== null) {
                yield $finding;
            }
            if (in_array($error->kind, [SyntaxErrorKind::UnclosedBlock, SyntaxErrorKind::UnclosedComment], true)) {
                $swallowed = $error->swallowed;
            }
        }
        yield from $this->missingSemicolons($source, $swallowed);
        yield from $this->selectors($source, $source->css->rules(), $swallowed);
    }

    /** @return iterable<Draft> */
    private function missingSemicolons(StyleSource $source, ?Span $swallowed): iterable
    {
        foreach ($source->css->declarations() as $declaration) {
            if (
                $swallowed === null
                || $declaration->span()->start < $swallowed->start
                || $this->isJustInside($source, $swallowed, $declaration)
            ) {
                $finding = $this->missingSemicolon($source, $declaration);
                if ($finding !== null) {
                    yield $finding;
                }
            }
        }
    }

    /**
     * Of blocks in each other that nothing closes, the innermost is the one without its end where it is a bracket: it
     * takes the braces that were to close the others.
     *
     * @param  list<SyntaxError>  $errors
     * @return list<SyntaxError>
     */
    private static function causes(array $errors): array
    {
        $open = array_values(
            array_filter($errors, fn (SyntaxError $one) => $one->kind === SyntaxErrorKind::UnclosedBlock),
        );
        $last = end($open);

        return count($open) < 2 ? $errors : array_values(array_filter(
            $errors,
            fn (SyntaxError $one) => $one->kind !== SyntaxErrorKind::UnclosedBlock || $one === $last,
        ));
    }

    /**
     * @return array<int, Span> names of properties behind which `;` stands for `:`, as in `font-size; 13px`, by where
     *     their values begin
     */
    private static function valuesBehindSemicolons(StyleSource $source): array
    {
        $found = [];
        $name = null;
        foreach ($source->css->errors as $error) {
            $between = $name === null ? '' : self::between($source, $name->end, $error->span->start);
            if ($name !== null && $error->kind === SyntaxErrorKind::NotADeclaration && trim($between) === ';') {
                $found[$error->span->start] = $name;
            }
            $text = self::between($source, $error->span->start, $error->span->end);
            $isName = $error->kind === SyntaxErrorKind::MissingColon
                && Definitions::isProperty(strtolower(trim($text)));
            $name = $isName ? $error->span : null;
        }

        return $found;
    }

    /** The CSS from one place to another, in bytes of the text that was read. */
    private static function between(StyleSource $source, int $from, int $to): string
    {
        return substr($source->css->tokens->css, $from - $source->css->tokens->offset, $to - $from);
    }

    private function semicolonForColon(StyleSource $source, SyntaxError $error): Draft
    {
        $name = trim(self::between($source, $error->span->start, $error->span->end));
        $behind = self::between($source, $error->span->end, $error->span->end + 100);
        $at = $error->span->end + (int) strpos($behind, ';');

        return Draft::inCss($source, $error->span, "colon:$name")
            ->variant('missing-colon')
            ->says("There is `;` after `$name` where `:` belongs, so browsers skip it.")
            ->remedy("Type `:` in place of `;` after `$name`.")
            ->mend(Mend::of(new Edit($source->file, new Span($at, $at + 1), ':')));
    }

    private function isJustInside(StyleSource $source, Span $swallowed, Declaration $declaration): bool
    {
        return substr_count(
            $source->file->bytes,
            '{',
            $swallowed->start,
            $declaration->span()->start - $swallowed->start,
        ) <= 1;
    }

    private function ofError(StyleSource $source, SyntaxError $error): ?Draft
    {
        $tokens = $source->css->tokens;
        $text = substr($tokens->css, $error->span->start - $tokens->offset, $error->span->length());
        $shown = English::excerpt($text, 50);

        return match ($error->kind) {
            SyntaxErrorKind::UnclosedBlock => $text === '{'
                ? $this->missingBrace($source, $error)
                : $this->bracket($source, $error, $text),
            SyntaxErrorKind::StrayClose => $text === '}' && ! $source->isAttribute()
                ? Draft::inCss($source, $error->span, 'extra-brace')
                    ->variant('extra-brace')
                    ->mark(ProofMark::TakeOut)
                    ->says('This `}` closes nothing, so browsers skip the rule after it.')
                    ->remedy('Remove the `}`.')
                    ->mend(Mend::of(Edit::remove($source->file, $error->span)))
                : null,
            SyntaxErrorKind::MissingColon => $this->missingColon($source, $error, $text),
            SyntaxErrorKind::NotADeclaration => preg_match(self::HACK, $text) === 1
                ? null
                : $this->notADeclaration($source, $error, $text, $shown),
            SyntaxErrorKind::UnclosedComment => Draft::inCss($source, $error->span, 'comment')
                ->variant('unclosed-comment')
                ->mark(ProofMark::Insert)
                ->says('This comment has no end, so browsers skip everything after it.')
                ->remedy('Type `*/` where the comment ends.'),
            SyntaxErrorKind::UnclosedString => Draft::inCss($source, $error->span, "string:$shown")
                ->variant('unclosed-string')
                ->mark(ProofMark::Insert)
                ->says("The quote that starts with `$shown` is not closed on its line.")
                ->remedy("Type `{$text[0]}` at the end of the text."),
            SyntaxErrorKind::BadUrl => Draft::inCss($source, $error->span, "url:$shown")
                ->variant('bad-url')
                ->says("`$shown` cannot be read: an address with spaces or quotes in it needs quotes around it.")
                ->remedy('Type `url("…")` with the address inside the quotes.'),
            SyntaxErrorKind::RuleWithoutBlock => Draft::inCss($source, $error->span, "rule:$shown")
                ->variant('rule-without-block')
                ->says("`$shown` has no `{ … }` after it, so it does nothing.")
                ->remedy('Type its rules in braces after it, or remove it.'),
            SyntaxErrorKind::TooDeep => null,
        };
    }

    private function missingBrace(StyleSource $source, SyntaxError $error): Draft
    {
        $at = $this->placeOfBrace($source, $error);
        $rule = $source->css->tokens;
        $opener = substr($rule->css, 0, $error->span->start - $rule->offset);
        $name = English::excerpt((string) preg_replace('~^.*[{};]|/\*.*?\*/~s', '', $opener), 40);
        $place = new Span(max($error->span->start, $at - 1), $at);

        return Draft::inCss($source, $place, "brace:$name")
            ->variant('missing-brace')
            ->mark(ProofMark::Insert)
            ->says("The rule `$name` has no `}`, so the rules after it are read as part of it.")
            ->remedy(
                $at >= strlen($source->file->bytes) ? 'Type `}` at the end.' : 'Type `}` here, before the next rule.',
            )
            ->related(new Related($source->file, $source->place($error->span), 'opened here'))
            ->mend(Mend::of(Edit::insert($source->file, $at, "\n}")));
    }

    /**
     * Behind what the rule was to hold: before the first line inside that stands as far left as the rule itself and
     * begins another; or at the end.
     */
    private function placeOfBrace(StyleSource $source, SyntaxError $error): int
    {
        $tokens = $source->css->tokens;
        $bytes = $source->file->bytes;
        $lineStart = fn (int $offset) => (int) strrpos("\n".substr($bytes, 0, $offset), "\n");
        $indent = fn (int $offset) => $offset - $lineStart($offset);
        $before = rtrim(substr($bytes, 0, $error->span->start));
        $begin = strlen($before) - strlen((string) preg_replace('~^.*[{};]\s*(?:/\*.*?\*/\s*)*~s', '', $before));
        $own = $indent($begin);
        $last = $error->span->end;
        $seen = $line = $lineStart($error->span->start);
        $next = fn (int $at) => $tokens->start($at) <= $error->span->start ? $at + 1 : $tokens->after($at);
        for ($at = 0; $at < $tokens->count; $at = $next($at)) {
            $start = $tokens->start($at);
            if ($start <= $error->span->start || $tokens->type($at) === TokenType::Whitespace) {
                continue;
            }
            $break = strrpos(substr($bytes, $seen, $start - $seen), "\n");
            $line = $break === false ? $line : $seen + $break + 1;
            $seen = $start;
            $isFirst = $line + strspn($bytes, self::BLANK, $line) >= $start;
            if ($isFirst && $start - $line <= $own && $line > $error->span->start
                && ! in_array($tokens->type($at), [TokenType::CloseCurly, TokenType::Semicolon], true)) {
                return $last;
            }
            $last = $tokens->stop(min($tokens->count - 1, $tokens->after($at) - 1));
        }

        return $last;
    }

    private function bracket(StyleSource $source, SyntaxError $error, string $text): Draft
    {
        $close = $text === '[' ? ']' : ')';

        return Draft::inCss($source, $error->span, "bracket:$text")
            ->variant('bracket')
            ->mark(ProofMark::Insert)
            ->says(
                '`'.English::excerpt($text, 30)."` is not closed with `$close`, so browsers skip everything after it.",
            )
            ->remedy("Type `$close` where it ends.");
    }

    private function missingColon(StyleSource $source, SyntaxError $error, string $text): Draft
    {
        preg_match('/^([\w-]+)\s*(=)?\s*/', $text, $parts);
        $name = $parts[1] ?? '';
        if (($parts[2] ?? '') === '=') {
            return $this->equalsSign($source, $error, $text, $name, substr($text, strlen($parts[0])));
        }
        $isProperty = Definitions::isProperty(strtolower($name));
        $value = substr($text, strlen($parts[0] ?? ''));

        return Draft::inCss($source, $error->span, "colon:$name")
            ->variant('missing-colon')
            ->mark(ProofMark::Insert)
            ->says($isProperty && $value !== ''
                ? "There is no `:` after `$name`, so browsers skip it."
                : '`'.English::excerpt($text, 40).'` is not a declaration, so browsers skip it.')
            ->remedy($isProperty && $value !== ''
                ? "Type `$name: ".English::excerpt($value, 30).'`.'
                : 'Type `property: value;`, or remove it.')
            ->mend($isProperty && $value !== ''
                ? Mend::of(Edit::insert($source->file, $error->span->start + strlen($name), ':'))
                : null);
    }

    private function equalsSign(
        StyleSource $source,
        SyntaxError $error,
        string $text,
        string $name,
        string $value,
    ): Draft {
        $at = $error->span->start + strcspn($text, '=');

        return Draft::inCss($source, $error->span, "equals:$name")
            ->variant('equals')
            ->says('`'.English::excerpt($text, 40).'` has `=` where CSS has `:`, so browsers skip it.')
            ->remedy("Type `$name: ".English::excerpt($value, 30).'`.')
            ->mend(Mend::of(new Edit($source->file, new Span($error->span->start + strlen($name), $at + 1), ':')));
    }

    private function notADeclaration(StyleSource $source, SyntaxError $error, string $text, string $shown): Draft
    {
        $comment = match (true) {
            str_starts_with($text, '//') => '`//` does not start a comment in CSS',
            str_starts_with($text, '<!--') => '`<!-- … -->` is a comment in HTML only',
            default => null,
        };

        return Draft::inCss($source, $error->span, "declaration:$shown")
            ->variant('not-a-declaration')
            ->says($comment === null
                ? "`$shown` is not a declaration, so browsers skip it."
                : "$comment, so browsers skip this and what follows up to the next `;`.")
            ->remedy($comment === null
                ? 'Type `property: value;`, or remove it.'
                : 'Type the comment between `/*` and `*/`.');
    }

    /** A value that goes on into the next declaration. */
    private function missingSemicolon(StyleSource $source, Declaration $declaration): ?Draft
    {
        $tokens = $declaration->tokens;
        for ($at = $declaration->from + 1; $at < $declaration->to; $at = $tokens->after($at)) {
            $colon = $tokens->skipSpace($at + 1);
            $isBeforeColon = $colon < $declaration->to && $tokens->type($colon) === TokenType::Colon;
            $name = $tokens->type($at) === TokenType::Ident && $isBeforeColon ? $tokens->text($at) : '';
            if (Definitions::isProperty(strtolower($name)) || str_starts_with($name, '--')) {
                return $this->semicolonAfter($source, $declaration, $at, $name);
            }
        }

        return null;
    }

    /** @param  int  $next the token with which the next declaration begins, whose property is `$name` */
    private function semicolonAfter(StyleSource $source, Declaration $declaration, int $next, string $name): Draft
    {
        $tokens = $declaration->tokens;
        $last = $next - 1;
        while ($last > $declaration->from && $tokens->type($last) === TokenType::Whitespace) {
            $last--;
        }
        $end = $tokens->stop($last);
        $written = "$declaration->name: ".English::excerpt($tokens->rawBetween($declaration->from, $last), 30);

        return Draft::inCss($source, new Span($tokens->start($last), $end), "semicolon:$declaration->name:$name")
            ->variant('missing-semicolon')
            ->mark(ProofMark::Insert)
            ->says("There is no `;` after `$written`, so browsers skip it and `$name` as well.")
            ->remedy("Type `;` after `$written`.")
            ->mend(Mend::of(Edit::insert($source->file, $end, ';')))
            ->about(Subject::inCss($source, $declaration->nameSpan()));
    }

    /**
     * @param  list<SyntaxRule>  $rules
     * @return iterable<Draft>
     */
    private function selectors(StyleSource $source, array $rules, ?Span $swallowed): iterable
    {
        foreach ($rules as $rule) {
            if ($rule instanceof QualifiedRule) {
                $finding = $swallowed !== null && $rule->span()->start > $swallowed->start
                    ? null
                    : $this->selector($source, $rule);
                if ($finding !== null) {
                    yield $finding;
                }
            } elseif (
                $rule instanceof AtRuleNode
                && in_array($rule->name(), ['media', 'supports', 'layer', 'container'], true)
            ) {
                yield from $this->selectors($source, $rule->rules(), $swallowed);
            }
        }
    }

    private function selector(StyleSource $source, QualifiedRule $rule): ?Draft
    {
        try {
            RuleSelectors::of($rule);
        } catch (SelectorError $error) {
            $isKnown = $error->unknown !== null || str_contains($rule->prelude(), '}');
            if ($isKnown) {
                return null;
            }
            $fix = SelectorFix::of($rule);
            if ($fix !== null) {
                return $this->misreadSelector($source, $rule, $fix);
            }

            return self::noSelector($source, $rule);
        }

        return null;
    }

    private static function noSelector(StyleSource $source, QualifiedRule $rule): Draft
    {
        $shown = English::excerpt($rule->prelude(), 50);

        return Draft::inCss(
            $source,
            $rule->preludeTo > $rule->preludeFrom ? $rule->preludeSpan() : $rule->span(),
            "selector:$shown",
        )
            ->variant('selector')
            ->says($shown === ''
                ? 'There is no selector before this `{`, so browsers skip the rule.'
                : "`$shown` is not a selector, so browsers skip the whole rule.")
            ->remedy($shown === '' ? 'Type a selector before `{`, such as `p`.' : self::remedyFor($rule->prelude()))
            ->about(Subject::inCss($source, $rule->span()));
    }

    private function misreadSelector(StyleSource $source, QualifiedRule $rule, SelectorFix $fix): Draft
    {
        $edit = fn (Change $change) => new Edit($source->file, $change->span, $change->text);

        return Draft::inCss($source, $fix->span, 'selector:'.English::excerpt($rule->prelude(), 50))
            ->variant('selector')
            ->says($fix->wrong)
            ->remedy($fix->remedy)
            ->mend(new Mend(array_map($edit, $fix->changes)))
            ->about(Subject::inCss($source, $rule->preludeSpan()), Subject::inCss($source, $rule->span()));
    }

    private static function remedyFor(string $selector): string
    {
        return match (true) {
            preg_match('/,\s*$/', $selector) === 1 => 'Remove the comma at its end.',
            preg_match('/^\s*,|,\s*,/', $selector) === 1 => 'Remove the comma that has nothing before it.',
            preg_match('/[.#]\s+[\w-]/', $selector) === 1 => 'Remove the space after the `.` or `#`.',
            preg_match('/[.#]\d/', $selector) === 1 => 'Give the class or id a name that starts with a letter.',
            preg_match('/^\s*</', $selector) === 1 => 'Type the name of the element without `<` and `>`.',
            default => 'Type a selector such as `p`, `.note` or `#menu`.',
        };
    }
}
