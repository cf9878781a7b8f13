<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

/** Escapes in names, strings and addresses (CSS Syntax Level 3, 4.3.7). */
final class Escape
{
    private const ONE = '~\\\\(?:([0-9a-fA-F]{1,6})(?:\r\n|[ \t\n\r\f])?|(\r\n|[\n\r\f])|([\s\S])|\z)~';

    /** What was written, with its escapes read; an escaped line end is nothing, NUL is U+FFFD. */
    public static function read(string $written): string
    {
        if (str_contains($written, "\0")) {
            $written = str_replace("\0", "\u{FFFD}", $written);
        }
        if (! str_contains($written, '\\')) {
            return $written;
        }

        return preg_replace_callback(
            self::ONE,
            fn (array $escape) => ($escape[1] ?? '') !== '' ? self::character($escape[1]) : $escape[3] ?? '',
            $written,
        ) ?? $written;
    }

    private static function character(string $hex): string
    {
        $code = (int) hexdec($hex);

        return $code === 0 || $code > 0x10FFFF || ($code >= 0xD800 && $code <= 0xDFFF)
            ? "\u{FFFD}"
            : (string) mb_chr($code, 'UTF-8');
    }

    /** A name as it has to be written to be read again (CSSOM, "serialize an identifier"). */
    public static function name(string $name): string
    {
        $written = preg_replace_callback(
            '~[\x01-\x1f\x7f]|^-?[0-9]|^-$|[^\w\x80-\xff-]~',
            function (array $one): string {
                $last = substr($one[0], -1);
                $code = ord($last);

                return substr($one[0], 0, -1)
                    .($code < 0x20 || $code === 0x7F || ctype_digit($last) ? '\\'.dechex($code).' ' : "\\$last");
            },
            $name,
        );

        return $written ?? $name;
    }
}
