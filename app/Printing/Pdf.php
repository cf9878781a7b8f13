<?php

declare(strict_types=1);

namespace App\Printing;

use App\Storage\Download;
use Illuminate\Http\Response;

/** Answers with a page as PDF, or with how far it is. */
final readonly class Pdf
{
    /** Seconds after which it is worth asking again. */
    private const ASK_AGAIN = 1;

    /**
     * @param  string  $html  a page that loads nothing
     * @param  string  $name  of the file, without its ending
     */
    public static function of(string $html, string $name): Response
    {
        $page = PrintedPage::ask($html);

        return match ($page->state()) {
            PrintState::Ready => Download::of($page->pdf(), 'application/pdf', "$name.pdf"),
            PrintState::Waiting => self::told('It is being printed.', 202),
            PrintState::Failed => self::told(
                'It could not be printed. Try again in half a minute, or print it from here.',
                503,
            ),
            PrintState::NoPrinter => self::told(
                'There is no Chromium on the server, which makes PDF files. You can print it from here.',
                503,
            ),
        };
    }

    private static function told(string $message, int $status): Response
    {
        return response((string) json_encode(['message' => $message]), $status, [
            'Content-Type' => 'application/json',
            'Retry-After' => (string) self::ASK_AGAIN,
        ]);
    }
}
