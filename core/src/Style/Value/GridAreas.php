<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

use InkedMargin\Core\Style\Syntax\TokenType;

/** The areas that strings draw in a grid: rows of one length, and each area a rectangle (CSS Grid 2, section 7.3). */
final class GridAreas
{
    /** @param  list<Item>  $items */
    public static function slip(string $property, array $items): ?StyleSlip
    {
        if (! in_array($property, ['grid-template-areas', 'grid-template', 'grid'], true)) {
            return null;
        }
        $rows = array_values(array_filter($items, fn (Item $item) => $item->type === TokenType::String));
        $cells = array_map(
            fn (Item $row) => preg_split('/\s+/', $row->text, -1, PREG_SPLIT_NO_EMPTY) ?: [],
            $rows,
        );
        $columns = count($cells[0] ?? []);
        foreach ($cells as $at => $row) {
            if (count($row) !== $columns) {
                $span = $rows[$at]->tokens->span($rows[$at]->token, $rows[$at]->token);
                $message = 'This row of areas has '.count($row).' names and the first has '.$columns
                    .', so browsers skip this declaration.';

                return new StyleSlip($span, $message, 'Give every row as many names; a dot is an empty cell.');
            }
        }

        return $rows === [] ? null : self::notRectangular($rows, $cells);
    }

    /**
     * @param  non-empty-list<Item>  $rows
     * @param  list<list<string>>  $cells
     */
    private static function notRectangular(array $rows, array $cells): ?StyleSlip
    {
        $places = [];
        foreach ($cells as $y => $row) {
            foreach ($row as $x => $name) {
                $places["area $name"][] = [$x, $y];
            }
        }
        foreach ($places as $key => $all) {
            $name = substr($key, strlen('area '));
            $width = max(array_column($all, 0)) - min(array_column($all, 0)) + 1;
            $height = max(array_column($all, 1)) - min(array_column($all, 1)) + 1;
            if (trim($name, '.') !== '' && $width * $height !== count($all)) {
                $first = $rows[$all[0][1]];
                $message = "The area `$name` is not a rectangle, so browsers skip this declaration.";

                return new StyleSlip(
                    $first->tokens->span($first->token, $first->token),
                    $message,
                    "Put all cells of `$name` side by side, in a rectangle.",
                );
            }
        }

        return null;
    }
}
