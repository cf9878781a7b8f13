<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** Text that may not be UTF-8, made so. */
final readonly class Utf8
{
    /** What is no UTF-8 becomes U+FFFD (Encoding Standard, "UTF-8 decode"). */
    public static function scrub(string $bytes): string
    {
        return self::convert($bytes, 'UTF-8');
    }

    /** @param  string  $encoding  a name that mbstring knows */
    public static function convert(string $bytes, string $encoding): string
    {
        $substitute = mb_substitute_character();
        mb_substitute_character(0xFFFD);
        $text = mb_convert_encoding($bytes, 'UTF-8', $encoding);
        mb_substitute_character($substitute);

        return (string) $text;
    }
}
