<?php

declare(strict_types=1);

namespace App\Grades;

use InkedMargin\Core\Grading\ResultKind;
use InkedMargin\Core\Report\Csv;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\IOFactory;
use PhpOffice\PhpSpreadsheet\Spreadsheet;

/** A gradebook as a table: as CSV (RFC 4180), or as the sheet of an office program. */
final readonly class GradeTable
{
    public const COURSE = 'Course %';

    /** The heading of each part, behind its name. */
    public const PERCENT = ' %';

    /** The heading of what is not judged yet, behind the title of its work. */
    public const OPEN = ', not judged yet';

    public const EXCUSED = 'excused';

    public const MISSING = 'missing';

    private const BOM = "\xEF\xBB\xBF";

    /**
     * @param  bool  $isMarked  whether it begins with a byte order mark, which some office programs need to know UTF-8
     */
    public static function csv(Gradebook $book, bool $isMarked): string
    {
        $rows = array_map(
            fn (array $row) => array_map(fn (string|float|null $cell) => (string) $cell, $row),
            self::rows($book),
        );

        return ($isMarked ? self::BOM : '').Csv::of($rows);
    }

    /**
     * @param  'xlsx'|'ods'  $form
     * @return string bytes
     */
    public static function sheet(Gradebook $book, string $form): string
    {
        $file = new Spreadsheet;
        $sheet = $file->getActiveSheet()->setTitle('Gradebook')->freezePane('B2');
        foreach (self::rows($book) as $down => $row) {
            foreach ($row as $across => $cell) {
                if ($cell !== null && $cell !== '') {
                    // What was typed is text, whatever it looks like.
                    $type = is_string($cell) ? DataType::TYPE_STRING : DataType::TYPE_NUMERIC;
                    $sheet->setCellValueExplicit([$across + 1, $down + 1], $cell, $type);
                }
            }
        }
        $sheet->getStyle('1:1')->getFont()->setBold(true);
        foreach (range(1, 4) as $column) {
            $sheet->getColumnDimension(Coordinate::stringFromColumnIndex($column))->setAutoSize(true);
        }
        ob_start();
        IOFactory::createWriter($file, ucfirst($form))->save('php://output');

        return (string) ob_get_clean();
    }

    /** @return list<list<string|float|null>> the headings first */
    private static function rows(Gradebook $book): array
    {
        $parts = count($book->parts) > 1
            ? array_map(fn (GradePartView $part) => $part->title.self::PERCENT, $book->parts)
            : [];
        $open = self::provisional($book);
        $rows = [[
            'Name', 'Handle', 'E-mail', 'Group',
            ...array_map(self::heading(...), $book->columns),
            ...array_map(fn (int $at) => $book->columns[$at]->title.self::OPEN, $open),
            ...$parts,
            self::COURSE,
        ]];
        foreach ($book->rows as $row) {
            $rows[] = [
                $row->name, $row->handle, $row->email, $row->group,
                ...array_map(self::cell(...), $row->cells),
                ...array_map(fn (int $at) => $row->cells[$at]->open > 0.0 ? $row->cells[$at]->open : null, $open),
                ...($parts === [] ? [] : $row->parts),
                $row->percent,
            ];
        }

        return $rows;
    }

    /** @return list<int> the places of columns in which something is not judged yet */
    private static function provisional(Gradebook $book): array
    {
        return array_values(array_filter(
            array_keys($book->columns),
            fn (int $at) => array_filter($book->rows, fn (GradeRow $row) => $row->cells[$at]->open > 0.0) !== [],
        ));
    }

    private static function heading(GradeColumn $column): string
    {
        return $column->possible === null ? $column->title : "$column->title ($column->possible)";
    }

    private static function cell(GradeCell $cell): string|float|null
    {
        return match ($cell->kind) {
            ResultKind::Excused => self::EXCUSED,
            ResultKind::Missing => self::MISSING,
            ResultKind::Open => null,
            default => $cell->awarded,
        };
    }
}
