<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Files by the SHA-256 of their bytes, on a Laravel disk: what two attempts share is kept once. */
final readonly class BlobStore
{
    /** @return string the SHA-256 the bytes are kept under, 64 hexadecimal digits */
    public function put(string $bytes): string
    {
        $sha256 = hash('sha256', $bytes);
        $disk = $this->disk();
        if (! $disk->exists(self::path($sha256))) {
            $disk->put(self::path($sha256), $bytes);
        }
        DB::table('blobs')->insertOrIgnore(['sha256' => $sha256, 'bytes' => strlen($bytes)]);

        return $sha256;
    }

    public function get(string $sha256): string
    {
        return $this->disk()->get(self::path($sha256)) ?? throw new \RuntimeException(
            "The bytes of $sha256 are gone from the disk.",
        );
    }

    private function disk(): Filesystem
    {
        return Storage::disk(config()->string('margin.blob_disk'));
    }

    private static function path(string $sha256): string
    {
        return 'blobs/'.substr($sha256, 0, 2).'/'.$sha256;
    }
}
