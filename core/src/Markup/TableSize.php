<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** How many rows and columns a table has, with cells that span several counted as often as they span. */
final readonly class TableSize
{
    /** Columns that a cell may span. */
    private const LONGEST_SPAN = 1000;

    private function __construct(public int $rows, public int $columns)
    {
    }

    /** HTML Standard, 4.9.12.1 Forming a table. */
    public static function of(Element $table): self
    {
        $rows = self::rowsOf($table);
        $columns = 0;
        // For each column, the first row in which no cell from above is in the way.
        $free = [];
        foreach ($rows as $nth => $row) {
            $column = 0;
            foreach ($row->elements() as $cell) {
                if ($cell->name !== 'td' && $cell->name !== 'th') {
                    continue;
                }
                while (($free[$column] ?? 0) > $nth) {
                    $column++;
                }
                $width = self::span($cell, 'colspan', self::LONGEST_SPAN);
                $height = min(self::span($cell, 'rowspan', count($rows)), count($rows) - $nth);
                for ($across = 0; $across < $width; $across++) {
                    $free[$column + $across] = $nth + $height;
                }
                $column += $width;
                $columns = max($columns, $column);
            }
        }

        return new self(count($rows), $columns);
    }

    /** @return list<Element> in the order of the source, those of tables inside cells left out */
    private static function rowsOf(Element $table): array
    {
        $rows = [];
        foreach ($table->elements() as $child) {
            if ($child->name === 'tr') {
                $rows[] = $child;
            } elseif (in_array($child->name, ['thead', 'tbody', 'tfoot'], true)) {
                array_push($rows, ...array_filter($child->elements(), fn (Element $one) => $one->name === 'tr'));
            }
        }

        return $rows;
    }

    private static function span(Element $cell, string $attribute, int $most): int
    {
        $value = (int) trim($cell->value($attribute) ?? '1');

        return $value === 0 && $attribute === 'rowspan' ? max(1, $most) : max(1, min($value, $most));
    }
}
