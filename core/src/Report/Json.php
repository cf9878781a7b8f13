<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use JsonException;

/** A report as JSON that can be read and compared: a line each, ending with one, and characters as they are. */
final readonly class Json
{
    private const FLAGS = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE
        | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR;

    /**
     * @param  array<string, mixed>  $report
     *
     * @throws JsonException for what JSON cannot say, such as a number that is none
     */
    public static function text(array $report): string
    {
        return json_encode($report, self::FLAGS)."\n";
    }
}
