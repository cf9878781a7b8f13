<?php

declare(strict_types=1);

namespace App\Storage;

/** A file on this machine, for as long as something reads it that needs one. */
final readonly class TemporaryFile
{
    /**
     * @template T
     *
     * @param  resource  $from  what is copied into it, piece by piece; it is closed
     * @param  \Closure(string): T  $read  is given its path
     * @return T
     *
     * @throws StoreFailure when there is no room for it
     */
    public static function with($from, \Closure $read): mixed
    {
        $path = tempnam(sys_get_temp_dir(), 'margin');
        if ($path === false) {
            throw new StoreFailure('There is no room for temporary files on the server.');
        }
        try {
            $to = fopen($path, 'wb');
            $copied = $to !== false && stream_copy_to_stream($from, $to) !== false && fclose($to);
            fclose($from);

            return $copied
                ? $read($path)
                : throw new StoreFailure('There is no room for temporary files on the server.');
        } finally {
            unlink($path);
        }
    }
}
