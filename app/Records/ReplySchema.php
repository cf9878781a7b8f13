<?php

declare(strict_types=1);

namespace App\Records;

use App\Records\RecordsSchema as Of;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Marking\OutcomeKind;

/** What a released reply may hold, as `ReplyContent` has it: by this version, or an earlier one. */
final readonly class ReplySchema
{
    /** What an outcome that nobody has judged yet was called before. */
    private const UNCLEAR = 'unclear';

    /** @return array<string, mixed> */
    public static function content(): array
    {
        $text = Of::text();

        return Of::object([
            'student' => $text, 'course' => $text, 'assignment' => $text, 'attempt' => Of::integer(),
            'pages' => Of::list(Of::object(['file' => $text, 'items' => Of::list(self::item())])),
            'points' => Of::list(self::point()),
            'awarded' => Of::points(), 'possible' => Of::points(),
        ], [
            'others' => Of::list(Of::object(
                ['title' => $text, 'points' => Of::points(), 'how' => $text],
                ['reasons' => Of::list(self::reason())],
            )),
            'opening' => Of::orNull(self::item()), 'closing' => Of::orNull(self::item()),
            'mended' => Of::list(self::mended()),
            'supersedes' => Of::orNull(Of::object([
                'at' => ['type' => 'string', 'pattern' => '^20\\d\\d-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d([.]\\d+)?(Z|[+]\\d\\d:\\d\\d)$'],
                'changes' => Of::list(Of::object(['kind' => $text, 'place' => $text, 'text' => $text])),
            ])),
            'judged' => Of::orNull(Of::points()),
        ]);
    }

    /** @return array<string, mixed> */
    private static function item(): array
    {
        $text = Of::text();
        $line = Of::orNull(Of::integer());

        return Of::object([
            'kind' => Of::oneOf(['finding', 'note', 'question', 'merit', 'opening', 'closing']),
            'mark' => Of::orNull(Of::cases(ProofMark::class)), 'line' => $line, 'text' => $text,
            'remedy' => Of::orNull($text), 'html' => Of::orNull($text),
        ], [
            'endLine' => $line,
            'lines' => Of::list(Of::object(
                ['number' => Of::integer(), 'before' => $text],
                ['meant' => $text, 'after' => $text],
            )),
        ]);
    }

    /** @return array<string, mixed> */
    private static function point(): array
    {
        $text = Of::text();

        return Of::object([
            'title' => $text,
            'outcome' => Of::oneOf([...array_column(OutcomeKind::cases(), 'value'), self::UNCLEAR]),
            'awarded' => Of::points(), 'possible' => Of::points(), 'reason' => Of::orNull($text),
        ], ['how' => Of::orNull($text), 'reasons' => Of::list(self::reason())]);
    }

    /** @return array<string, mixed> */
    private static function reason(): array
    {
        $text = Of::text();

        return Of::object([
            'text' => $text, 'cost' => Of::points(), 'file' => $text, 'line' => Of::orNull(Of::integer()),
            'inked' => ['type' => 'boolean'],
        ]);
    }

    /** @return array<string, mixed> */
    private static function mended(): array
    {
        $text = Of::text();

        return Of::object([
            'file' => $text, 'follow' => ['type' => 'boolean'],
            'places' => Of::list(Of::object([
                'line' => Of::integer(),
                'lines' => Of::list(Of::object(['text' => $text, 'step' => $text, 'number' => Of::integer()])),
            ])),
        ]);
    }
}
