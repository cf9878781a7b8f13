<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

/** Tables as CSV (RFC 4180), for spreadsheets. */
final readonly class Csv
{
    /** @param  iterable<list<string>>  $rows  the headings first */
    public static function of(iterable $rows): string
    {
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new \RuntimeException('There is no memory for a table.');
        }
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::harmless(...), $row), ',', '"', '', "\r\n");
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /** What a spreadsheet would take for a formula is text (common practice). */
    private static function harmless(string $cell): string
    {
        return preg_match('/^[=+\-@]/', $cell) === 1 ? "'$cell" : $cell;
    }
}
