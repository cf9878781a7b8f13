<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Condition;

use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\CssTokenizer;
use InkedMargin\Core\Style\Syntax\TokenType;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\StyleSlip;

/** What no browser can read in a list of media queries (Media Queries 4, section 3). */
final class MediaCheck
{
    private const TYPES = ['all', 'screen', 'print', 'speech'];

    /** Types of old, which match nothing (section 2.3). */
    private const OLD_TYPES = ['tty', 'tv', 'projection', 'handheld', 'braille', 'embossed', 'aural', '3d-glasses'];

    /** @param  string  $list  as in a `media` attribute */
    public static function ofText(string $list): ?StyleSlip
    {
        $tokens = CssTokenizer::tokenize($list);

        return self::of(new Part(Item::list($tokens, 0, $tokens->count)));
    }

    public static function of(Part $list): ?StyleSlip
    {
        // Tricks for old browsers are written with escapes.
        if ($list->isEmpty() || str_contains($list->text(), '\\')) {
            return null;
        }
        foreach ($list->queries() as $query) {
            $slip = $query->isEmpty() ? null : self::ofQuery($query);
            if ($slip !== null) {
                return $slip;
            }
        }

        return null;
    }

    private static function ofQuery(Part $query): ?StyleSlip
    {
        $condition = new Condition(MediaFeatures::slip(...));
        $typeAt = $query->isWord(0, 'not', 'only') ? 1 : 0;
        $type = $query->at($typeAt);
        $isTyped = $type?->type === TokenType::Ident && $query->at($typeAt + 1)?->type !== TokenType::Colon;
        if (! $isTyped) {
            return $condition->slip($query);
        }
        $after = $query->from($typeAt + 1);
        if ($after->isEmpty()) {
            return self::ofType($type);
        }
        if ($after->isBlock(0)) {
            return self::withoutAnd($type);
        }

        return self::ofType($type) ?? $condition->slip($after->isWord(0, 'and') ? $after->from(1) : $after);
    }

    private static function ofType(Item $type): ?StyleSlip
    {
        if (in_array($type->text, [...self::TYPES, ...self::OLD_TYPES], true) || str_starts_with($type->text, '-')) {
            return null;
        }
        $span = $type->tokens->span($type->token, $type->token);
        $message = "There is no kind of device called `$type->text`, so browsers never apply this.";
        $meant = NearestName::of($type->text, self::TYPES);

        return $meant === null
            ? new StyleSlip($span, $message, 'Type `screen` or `print`, or a test in brackets.')
            : StyleSlip::typed($span, $message, $meant);
    }

    private static function withoutAnd(Item $type): StyleSlip
    {
        return new StyleSlip(
            Span::at($type->tokens->stop($type->token)),
            "There is no `and` after `$type->text`, so browsers never apply this.",
            "Type `$type->text and`.",
            ' and',
        );
    }
}
