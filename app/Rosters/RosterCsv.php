<?php

declare(strict_types=1);

namespace App\Rosters;

use App\Models\Student;

/** The roster as CSV (RFC 4180), in the form in which it is read again. */
final readonly class RosterCsv
{
    /** @param  iterable<Student>  $students */
    public static function of(iterable $students): string
    {
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new \RuntimeException('There is no memory for a roster.');
        }
        fputcsv($file, ['name', 'handle', 'e-mail', 'group'], ',', '"', '', "\r\n");
        foreach ($students as $student) {
            $cells = [$student->name, $student->handle, $student->email, $student->group];
            fputcsv($file, array_map(self::harmless(...), $cells), ',', '"', '', "\r\n");
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
