<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

use InkedMargin\Core\Source\CheckLimits;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Source\Span;

/**
 * Reads CSS (CSS Syntax Level 3, section 5.5, with nested rules as its editors' draft of 2024 has them). Each method is
 * an algorithm of the standard under its own name. Nothing is read twice: what a declaration cannot be is seen at the
 * first sign of it.
 */
final class Parser
{
    /** Blocks in blocks further than this are not looked into. */
    private const DEEPEST = 60;

    /** @var list<SyntaxError> */
    private array $errors = [];

    private int $at = 0;

    private int $depth = 0;

    /** Rules, selectors and declarations so far. */
    private int $size = 0;

    private function __construct(private readonly Tokens $tokens)
    {
        $this->errors = $tokens->errors;
    }

    /**
     * "Parse a stylesheet".
     *
     * @param  int  $offset  bytes before the text in the file that it stands in
     *
     * @throws OverLimit
     */
    public static function sheet(string $css, int $offset = 0): StyleSheet
    {
        $parser = new self(CssTokenizer::tokenize($css, $offset));

        return $parser->result($parser->consumeStylesheetContents());
    }

    /**
     * "Parse a block's contents": of a `style` attribute.
     *
     * @param  int  $offset  bytes before it in its file
     *
     * @throws OverLimit
     */
    public static function declarations(string $css, int $offset = 0): StyleSheet
    {
        $parser = new self(CssTokenizer::tokenize($css, $offset));
        $content = [];
        while ($parser->at < $parser->tokens->count) {
            array_push($content, ...$parser->consumeBlockContents());
            // A `}` in an attribute closes nothing, and is passed over.
            $parser->at++;
        }

        return $parser->result($content);
    }

    /** @param  list<Declaration|SyntaxRule>  $content */
    private function result(array $content): StyleSheet
    {
        usort($this->errors, fn (SyntaxError $a, SyntaxError $b) => $a->span->start <=> $b->span->start);

        return new StyleSheet($this->tokens, $content, $this->errors, $this->size);
    }

    /** @return list<SyntaxRule> */
    private function consumeStylesheetContents(): array
    {
        $rules = [];
        while (($type = $this->tokens->type($this->at)) !== null) {
            $rule = match ($type) {
                TokenType::Whitespace, TokenType::Cdo, TokenType::Cdc => $this->pass(),
                TokenType::AtKeyword => $this->consumeAtRule(false),
                default => $this->consumeQualifiedRule(false),
            };
            if ($rule !== null) {
                $rules[] = $rule;
            }
        }

        return $rules;
    }

    private function pass(): null
    {
        $this->at++;

        return null;
    }

    private function consumeAtRule(bool $isNested): AtRuleNode
    {
        $this->count();
        $first = $this->at++;
        $from = $this->tokens->skipSpace($this->at);
        $this->at = $from;
        while (($type = $this->tokens->type($this->at)) !== null) {
            if ($type === TokenType::Semicolon) {
                return new AtRuleNode($this->tokens, $first, $from, $this->trimmed($from, $this->at++), null, []);
            }
            if ($type === TokenType::CloseCurly && $isNested) {
                break;
            }
            if ($type === TokenType::OpenCurly) {
                $open = $this->at;
                $prelude = $this->trimmed($from, $open);

                return new AtRuleNode($this->tokens, $first, $from, $prelude, $open, $this->consumeBlock());
            }
            $this->at = $this->tokens->after($this->at);
        }

        return new AtRuleNode($this->tokens, $first, $from, $this->trimmed($from, $this->at), null, []);
    }

    /** @return QualifiedRule|null null where it comes to nothing, which is told */
    private function consumeQualifiedRule(bool $isNested): ?QualifiedRule
    {
        $first = $this->at;
        $this->count();
        for (; ($type = $this->tokens->type($this->at)) !== null; $this->at = $this->tokens->after($this->at)) {
            if ($type === TokenType::Comma) {
                $this->count();
            }
            $ends = $isNested && ($type === TokenType::Semicolon || $type === TokenType::CloseCurly);
            if ($ends) {
                break;
            }
            if ($type === TokenType::OpenCurly) {
                return $this->blockOf($first, $isNested);
            }
        }
        $this->tellNoRule($first, $isNested);
        if ($type === TokenType::Semicolon) {
            $this->at++;
        }

        return null;
    }

    /** With a block at hand: a rule, unless it begins as a custom property does. */
    private function blockOf(int $first, bool $isNested): ?QualifiedRule
    {
        $open = $this->at;
        $isCustom = $this->isCustomProperty($first);
        if ($isCustom) {
            if ($isNested) {
                $this->consumeRemnants();
            } else {
                $this->at = $this->tokens->after($open);
            }
            $this->error(SyntaxErrorKind::NotADeclaration, $first, $this->at - 1);

            return null;
        }

        return new QualifiedRule(
            $this->tokens,
            $first,
            $first,
            $this->trimmed($first, $open),
            $open,
            $this->consumeBlock(),
        );
    }

    private function isCustomProperty(int $first): bool
    {
        return $this->tokens->type($first) === TokenType::Ident
            && str_starts_with($this->tokens->raw($first), '--')
            && $this->tokens->type($this->tokens->skipSpace($first + 1)) === TokenType::Colon;
    }

    private function tellNoRule(int $first, bool $isNested): void
    {
        $last = max($first, $this->at - 1);
        $isName = $this->tokens->type($first) === TokenType::Ident;
        $kind = match (true) {
            ! $isNested => SyntaxErrorKind::RuleWithoutBlock,
            $isName && $this->tokens->type(
                $this->tokens->skipSpace($first + 1),
            ) !== TokenType::Colon => SyntaxErrorKind::MissingColon,
            default => SyntaxErrorKind::NotADeclaration,
        };
        // A sign that closes nothing has been told already.
        $isStray = $last === $first && in_array(
            $this->tokens->type($first),
            [TokenType::CloseCurly, TokenType::CloseParen, TokenType::CloseSquare],
            true,
        );
        if (! $isStray) {
            $this->error($kind, $first, $this->trimmed($first, $last + 1) - 1);
        }
    }

    /** @return list<Declaration|SyntaxRule> */
    private function consumeBlock(): array
    {
        $close = $this->tokens->closeOf($this->at);
        if ($this->depth >= self::DEEPEST) {
            $this->error(SyntaxErrorKind::TooDeep, $this->at, $this->at);
            $this->at = min($close + 1, $this->tokens->count);

            return [];
        }
        $this->at++;
        $this->depth++;
        $content = $this->consumeBlockContents();
        $this->depth--;
        $this->at = min($close + 1, $this->tokens->count);

        return $content;
    }

    /** @return list<Declaration|SyntaxRule> */
    private function consumeBlockContents(): array
    {
        $content = [];
        while (($type = $this->tokens->type($this->at)) !== null && $type !== TokenType::CloseCurly) {
            if ($type === TokenType::Whitespace || $type === TokenType::Semicolon) {
                $this->at++;

                continue;
            }
            $one = match ($type) {
                TokenType::AtKeyword => $this->consumeAtRule(true),
                TokenType::Ident => $this->consumeDeclaration() ?? $this->consumeQualifiedRule(true),
                default => $this->consumeQualifiedRule(true),
            };
            if ($one !== null) {
                $content[] = $one;
            }
        }

        return $content;
    }

    /** @return Declaration|null null where it is none, and then nothing has been consumed */
    private function consumeDeclaration(): ?Declaration
    {
        $tokens = $this->tokens;
        $nameAt = $this->at;
        $colon = $tokens->skipSpace($nameAt + 1);
        if ($tokens->type($colon) !== TokenType::Colon) {
            return null;
        }
        $name = $tokens->text($nameAt);
        $isCustom = str_starts_with($name, '--');
        $from = $tokens->skipSpace($colon + 1);
        $block = false;
        for ($at = $from; ($type = $tokens->type($at)) !== null; $at = $tokens->after($at)) {
            if ($type === TokenType::Semicolon || $type === TokenType::CloseCurly) {
                break;
            }
            if (! $isCustom && $type !== TokenType::Whitespace) {
                // A value is a block and nothing else, or it has none: otherwise this is a rule.
                if ($block || ($type === TokenType::OpenCurly && $at !== $from)) {
                    return null;
                }
                $block = $type === TokenType::OpenCurly;
            }
        }
        $this->at = $type === TokenType::Semicolon ? $at + 1 : $at;
        $to = $this->trimmed($from, $at);
        $last = max($colon, $to - 1);
        $important = $this->importantFrom($from, $to);
        $this->count();

        return new Declaration(
            $tokens,
            $isCustom ? $name : strtolower($name),
            $nameAt,
            $from,
            $important === null ? $to : $this->trimmed($from, $important),
            $important !== null,
            $last,
        );
    }

    /** Where `!important` begins at the end of a value; null where it does not end so. */
    private function importantFrom(int $from, int $to): ?int
    {
        if ($to <= $from || $this->tokens->type($to - 1) !== TokenType::Ident
            || strcasecmp($this->tokens->text($to - 1), 'important') !== 0) {
            return null;
        }
        $before = $to - 2;
        while ($before >= $from && $this->tokens->type($before) === TokenType::Whitespace) {
            $before--;
        }

        return $before >= $from && $this->tokens->isDelim($before, '!') ? $before : null;
    }

    /** "Consume the remnants of a bad declaration", inside a block. */
    private function consumeRemnants(): void
    {
        while (($type = $this->tokens->type($this->at)) !== null && $type !== TokenType::CloseCurly) {
            $this->at = $this->tokens->after($this->at);
            if ($type === TokenType::Semicolon) {
                return;
            }
        }
    }

    /** One past the last token before another that is no white space. */
    private function trimmed(int $from, int $to): int
    {
        while ($to > $from && $this->tokens->type($to - 1) === TokenType::Whitespace) {
            $to--;
        }

        return $to;
    }

    private function count(): void
    {
        if (++$this->size > CheckLimits::STYLES) {
            throw new OverLimit(
                'This stylesheet has more than '.number_format(CheckLimits::STYLES).' rules, selectors and '
                    .'declarations.',
            );
        }
    }

    private function error(SyntaxErrorKind $kind, int $first, int $last): void
    {
        $span = $this->tokens->span($first, max($first, $last));
        $this->errors[] = new SyntaxError($kind, new Span($span->start, $span->end), $span);
    }
}
