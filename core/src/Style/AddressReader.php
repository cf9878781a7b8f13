<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style;

use InkedMargin\Core\Style\Syntax\Tokens;
use InkedMargin\Core\Style\Syntax\TokenType;

/** Finds the addresses in CSS: `url()`, with quotes and without, and the strings of `@import`. */
final class AddressReader
{
    /** @return list<SheetAddress> in order */
    public static function in(Tokens $tokens): array
    {
        $found = [];
        $isImport = false;
        for ($at = 0; $at < $tokens->count; $at++) {
            $type = $tokens->type($at);
            if ($type === TokenType::AtKeyword) {
                $isImport = strcasecmp($tokens->text($at), 'import') === 0;

                continue;
            }
            $isAddress = $type === TokenType::Url
                || ($type === TokenType::String && ($isImport || self::isInUrl($tokens, $at)));
            if ($isAddress) {
                $span = $tokens->insideSpan($at);
                $found[] = new SheetAddress($tokens->text($at), $span->start, $span->end, $isImport);
            }
            $isOn = $type === TokenType::Whitespace || ($type === TokenType::Function && self::isUrl($tokens, $at));
            $isImport = $isImport && $isOn;
        }

        return $found;
    }

    private static function isInUrl(Tokens $tokens, int $at): bool
    {
        do {
            $at--;
        } while ($at > 0 && $tokens->type($at) === TokenType::Whitespace);

        return $at >= 0 && $tokens->type($at) === TokenType::Function && self::isUrl($tokens, $at);
    }

    private static function isUrl(Tokens $tokens, int $at): bool
    {
        return strcasecmp($tokens->text($at), 'url') === 0;
    }
}
