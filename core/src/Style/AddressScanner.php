<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style;

/**
 * Finds the addresses in CSS: `url()` tokens, `url("")` functions, and the strings of `@import`.
 *
 * Comments and strings are read as CSS Syntax 3 does (4.3.2, 4.3.5, 4.3.6, 4.3.7), so that nothing in them is taken for
 * an address.
 */
final class AddressScanner
{
    private const WHITE = " \t\n\r\f";

    private const TOKEN = '~\G(?:
        (?<comment>/\*(?:[^*]++|\*(?!/))*+(?:\*/)?)
        | (?<import>@import(?![\w-]))
        | (?<url>(?<![\w-])url\()
        | (?<quote>["\'])
        | \\\\.?
        | [^/@uU"\'\\\\]++
        | .
    )~xsi';

    /**
     * @param  string  $css  a sheet, or the value of a `style` attribute
     * @param  int  $offset  bytes before it in the file it stands in
     * @return list<SheetAddress> in order
     */
    public static function scan(string $css, int $offset = 0): array
    {
        $found = [];
        $isImport = false;
        for ($at = 0, $length = strlen($css); $at < $length;) {
            if (preg_match(self::TOKEN, $css, $token, PREG_UNMATCHED_AS_NULL, $at) !== 1) {
                break;
            }
            $at += strlen((string) $token[0]);
            if (isset($token['import'])) {
                $isImport = true;
            } elseif (isset($token['url'])) {
                $address = self::inUrl($css, $at);
                $at = $address[2];
                if ($address[0] !== null) {
                    $found[] = new SheetAddress(
                        $address[0],
                        $offset + $address[1],
                        $offset + $address[1] + $address[3],
                        $isImport,
                    );
                }
                $isImport = false;
            } elseif (isset($token['quote'])) {
                $written = self::string($css, $at, $token['quote']);
                if ($isImport) {
                    $found[] = new SheetAddress(
                        self::unescape($written),
                        $offset + $at,
                        $offset + $at + strlen($written),
                        true,
                    );
                }
                $isImport = false;
                $at += strlen($written) + 1;
            } elseif (! isset($token['comment']) && trim((string) $token[0], self::WHITE) !== '') {
                $isImport = false;
            }
        }

        return $found;
    }

    /** @return array{string|null, int, int, int} the text (null for a bad url), where it starts, where reading goes on, and its length in bytes */
    private static function inUrl(string $css, int $at): array
    {
        $at += strspn($css, self::WHITE, $at);
        $quote = $css[$at] ?? '';
        if ($quote === '"' || $quote === "'") {
            $written = self::string($css, $at + 1, $quote);

            return [self::unescape($written), $at + 1, $at + 2 + strlen($written), strlen($written)];
        }
        preg_match(
            '~\G(?:[^\\\\"\'() \t\n\r\f\x00-\x08\x0b\x0e-\x1f\x7f]++|\\\\(?:[0-9a-fA-F]{1,6}(?:\r\n|[ \t\n\r\f])?|[^\n\r\f]))*+~',
            $css,
            $match,
            0,
            $at,
        );
        $written = $match[0] ?? '';
        $behind = $at + strlen($written);
        $behind += strspn($css, self::WHITE, $behind);
        if ($behind < strlen($css) && $css[$behind] !== ')') {
            // 4.3.14, "the remnants of a bad url"
            return [null, $at, $behind + strcspn($css, ')', $behind), 0];
        }

        return [self::unescape($written), $at, $behind + 1, strlen($written)];
    }

    /** The inside of a string up to its closing mark, or to the end of its line where the mark is missing. */
    private static function string(string $css, int $at, string $quote): string
    {
        preg_match('~\G(?:[^\\\\\n\r\f'.$quote.']++|\\\\(?:\r\n|[\s\S]))*+~', $css, $match, 0, $at);

        return $match[0] ?? '';
    }

    /** 4.3.7, "consume an escaped code point". */
    private static function unescape(string $written): string
    {
        if (! str_contains($written, '\\')) {
            return $written;
        }

        return preg_replace_callback('~\\\\(?:([0-9a-fA-F]{1,6})(?:\r\n|[ \t\n\r\f])?|(\r\n|[\n\r\f])|([\s\S]))~', function (array $escape): string {
            if ($escape[1] !== '') {
                $code = (int) hexdec($escape[1]);

                return $code === 0 || $code > 0x10FFFF || ($code >= 0xD800 && $code <= 0xDFFF)
                    ? "\u{FFFD}"
                    : (string) mb_chr($code);
            }

            return $escape[3] ?? '';
        }, $written) ?? '';
    }
}
