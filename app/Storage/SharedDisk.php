<?php

declare(strict_types=1);

namespace App\Storage;

use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Support\Facades\Storage;

/** The disk that all machines of an installation share: hand-ins, and what is made for somebody to download. */
final readonly class SharedDisk
{
    public static function get(): FilesystemAdapter
    {
        return Storage::disk(self::name());
    }

    /** Whether an object of it is there whole or not at all, and cannot be renamed without writing it again. */
    public static function isObjectStore(): bool
    {
        return config('filesystems.disks.'.self::name().'.driver') === 's3';
    }

    /** Deletes the files of a folder that are older than so many hours. */
    public static function prune(string $folder, int $hours): void
    {
        $before = now()->subHours($hours)->getTimestamp();
        foreach (self::get()->files($folder) as $path) {
            if (self::get()->lastModified($path) < $before) {
                self::get()->delete($path);
            }
        }
    }

    private static function name(): string
    {
        return config()->string('margin.blob_disk');
    }
}
