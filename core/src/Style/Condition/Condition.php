<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Condition;

use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\StyleSlip;

/**
 * Tests in brackets that `not`, `and` and `or` join: the same for `@media`, `@supports` and `@container` (Media Queries
 * 4, section 3; CSS Conditional 3, section 6; CSS Containment 3, section 3). Only what no browser reads is told.
 */
final readonly class Condition
{
    /** @param  \Closure(Part): ?StyleSlip  $test  what is wrong with what stands in a pair of brackets */
    public function __construct(private \Closure $test)
    {
    }

    public function slip(Part $part): ?StyleSlip
    {
        return $this->withoutBrackets($part) ?? $this->wrongJoint($part) ?? $this->insideOf($part);
    }

    private function withoutBrackets(Part $part): ?StyleSlip
    {
        if (! $part->has(TokenType::Colon)) {
            return null;
        }
        $pieces = preg_split('/\s+and\s+/i', $part->text()) ?: [];
        $isBare = fn (string $piece) => preg_match('/^[\w-]+\s*:\s*[^(){};:]+$/D', $piece) === 1;
        $bracketed = implode(' and ', array_map(
            fn (string $piece) => $isBare(trim($piece)) ? '('.trim($piece).')' : $piece,
            $pieces,
        ));

        return $bracketed === $part->text()
            ? new StyleSlip(
                $part->span(),
                '`'.English::excerpt($part->text(), 50).'` needs brackets around each test.',
                'Type brackets, such as `(max-width: 600px)`.',
            )
            : StyleSlip::typed(
                $part->span(),
                '`'.English::excerpt($part->text(), 50).'` needs brackets, so browsers never apply this.',
                $bracketed,
            );
    }

    private function wrongJoint(Part $part): ?StyleSlip
    {
        $joints = [];
        foreach ($part->items as $index => $item) {
            if ($item->type === TokenType::Function && in_array($item->text, ['and', 'or', 'not'], true)) {
                return StyleSlip::typed(
                    $item->tokens->span($item->token, $item->token),
                    "There is no space between `$item->text` and `(`, so browsers read a function.",
                    "$item->text (",
                );
            }
            if ($index > 0 && $part->isBlock($index) && $part->isBlock($index - 1)) {
                $at = $item->tokens->start($item->token);

                return new StyleSlip(
                    Span::at($at),
                    'There is no `and` between these two tests, so browsers never apply this.',
                    'Type `and` between them.',
                    'and ',
                );
            }
            if ($part->isWord($index, 'and', 'or')) {
                $joints[$item->text] = true;
            }
        }

        return count($joints) < 2 ? null : new StyleSlip(
            $part->span(),
            '`and` and `or` cannot stand side by side: browsers cannot tell which comes first.',
            'Put brackets around the tests that belong together.',
        );
    }

    private function insideOf(Part $part): ?StyleSlip
    {
        foreach ($part->items as $item) {
            if ($item->type !== TokenType::OpenParen) {
                continue;
            }
            $inside = new Part($item->inside);
            $slip = self::isCondition($inside) ? $this->slip($inside) : ($this->test)($inside);
            if ($slip !== null) {
                return $slip;
            }
        }

        return null;
    }

    private static function isCondition(Part $part): bool
    {
        $first = $part->at(0);

        return $first instanceof Item
            && ($part->isBlock(0) || $part->isWord(0, 'not') || $first->type === TokenType::Function);
    }
}
