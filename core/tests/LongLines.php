<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests;

use PhpToken;
use Symfony\Component\Finder\Finder;

/** Lines of code of more columns than the house allows. */
final readonly class LongLines
{
    private const MOST = 120;

    /** Columns of a string from which on it may be what makes a line long: a pattern, or a query, is not broken. */
    private const LONG_STRING = 60;

    private const STRINGS = [T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE];

    /** @return list<string> as file:line */
    public static function in(string ...$folders): array
    {
        $long = [];
        foreach (Finder::create()->files()->in($folders)->name('*.php')->sortByName() as $file) {
            $code = $file->getContents();
            $lines = array_filter(explode("\n", $code), fn (string $line) => mb_strlen($line) > self::MOST);
            $strings = $lines === [] ? [] : self::longStrings($code);
            foreach (array_diff_key($lines, $strings) as $at => $line) {
                $long[] = $file->getPathname().':'.($at + 1);
            }
        }

        return $long;
    }

    /** @return array<int, true> lines, counted from 0, that hold much of a string */
    private static function longStrings(string $code): array
    {
        $found = [];
        $strings = array_filter(PhpToken::tokenize($code), fn (PhpToken $one) => $one->is(self::STRINGS));
        foreach ($strings as $string) {
            foreach (explode("\n", $string->text) as $nth => $part) {
                if (mb_strlen($part) >= self::LONG_STRING) {
                    $found[$string->line - 1 + $nth] = true;
                }
            }
        }

        return $found;
    }
}
