<?php

declare(strict_types=1);

namespace App\Storage;

use Illuminate\Http\Response;

/** Answers with bytes that the browser saves as a file. */
final readonly class Download
{
    /** @param  string  $name  of the file, with its ending */
    public static function of(string $bytes, string $type, string $name): Response
    {
        return response($bytes, 200, [
            'Content-Type' => $type,
            // A quoted string (RFC 9110, 5.6.4).
            'Content-Disposition' => 'attachment; filename="'.addcslashes($name, '"\\').'"',
        ]);
    }
}
