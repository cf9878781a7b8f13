<?php

declare(strict_types=1);

namespace App\Tables;

use InkedMargin\Core\Source\Utf8;

/** What a spreadsheet gave, as text and as cells (RFC 4180, and what spreadsheets do besides). */
final readonly class RosterText
{
    /** The likelier first: commas stand in names, too. */
    private const SEPARATORS = ["\t", ';', ','];

    private const LOOKED_AT = 30;

    /** @param  list<RosterRow>  $rows  those that are not empty */
    private function __construct(public array $rows)
    {
    }

    /** UTF-8 or UTF-16 by their marks, or by how they look; Windows-1252 otherwise. */
    public static function decode(string $bytes): string
    {
        $encoding = match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => 'UTF-8',
            str_starts_with($bytes, "\xFF\xFE") => 'UTF-16LE',
            str_starts_with($bytes, "\xFE\xFF") => 'UTF-16BE',
            default => self::looksLike($bytes),
        };
        $text = $encoding === 'UTF-8' ? Utf8::scrub($bytes) : Utf8::convert($bytes, $encoding);

        return preg_replace('/^\x{FEFF}/u', '', $text) ?? $text;
    }

    private static function looksLike(string $bytes): string
    {
        $start = substr($bytes, 0, 4_000);
        $zeros = substr_count($start, "\0");
        if (4 * $zeros > strlen($start)) {
            return ($start[0] ?? '') === "\0" ? 'UTF-16BE' : 'UTF-16LE';
        }

        return mb_check_encoding($bytes, 'UTF-8') ? 'UTF-8' : 'Windows-1252';
    }

    public static function read(string $text): self
    {
        $best = null;
        $most = -1.0;
        foreach (self::SEPARATORS as $separator) {
            $rows = self::rows($text, $separator, self::LOOKED_AT);
            $widths = array_count_values(array_map(fn (RosterRow $row) => count($row->cells), $rows));
            arsort($widths);
            $width = (int) array_key_first($widths);
            // The separator that most lines have as often, and more of it where several do.
            $score = $width < 2 ? 0.0 : $widths[$width] / count($rows) + $width / 100;
            if ($score > $most) {
                [$best, $most] = [$separator, $score];
            }
        }

        return new self($best === null ? [] : self::rows($text, $best));
    }

    /** @return list<RosterRow> */
    private static function rows(string $text, string $separator, int $most = PHP_INT_MAX): array
    {
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new \RuntimeException('There is no memory for a roster.');
        }
        // Alone, a carriage return is the line end of old spreadsheets.
        fwrite($file, preg_replace('/\r\n?/', "\n", $text) ?? $text);
        rewind($file);
        $rows = [];
        $line = 1;
        while (count($rows) < $most && ($cells = fgetcsv($file, null, $separator, '"', '')) !== false) {
            $cells = array_map(fn (?string $cell) => self::cell((string) $cell), $cells);
            if (trim(implode('', $cells), ",;\t \n") !== '') {
                $rows[] = new RosterRow($line, $cells);
            }
            $line += 1 + substr_count(implode('', $cells), "\n");
        }
        fclose($file);

        return $rows;
    }

    /** Without what keeps a spreadsheet from taking text for a formula, and with single spaces. */
    private static function cell(string $written): string
    {
        $cell = trim(preg_replace('/[ \t\x{00A0}]+/u', ' ', $written) ?? $written);

        return preg_replace("/^'(?=[=+\\-@])/", '', $cell) ?? $cell;
    }
}
