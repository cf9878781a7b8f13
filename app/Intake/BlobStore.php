<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Files by the SHA-256 of their bytes, on a Laravel disk: what two attempts share is kept once.
 *
 * Bytes are written under another name, read back, and renamed: under the name of a hash are its bytes, or nothing.
 */
final readonly class BlobStore
{
    /**
     * @return string the SHA-256 the bytes are kept under, 64 hexadecimal digits
     *
     * @throws StoreFailure when the disk does not take them whole
     */
    public function put(string $bytes): string
    {
        $sha256 = hash('sha256', $bytes);
        $path = self::path($sha256);
        // One of another size was torn off when it was written, by a version that did not look.
        if (! $this->disk()->exists($path) || $this->disk()->size($path) !== strlen($bytes)) {
            $this->write($path, $bytes, $sha256);
        }
        DB::table('blobs')->insertOrIgnore(['sha256' => $sha256, 'bytes' => strlen($bytes)]);

        return $sha256;
    }

    /** @throws StoreFailure when they are gone, or are not the bytes that were kept */
    public function get(string $sha256): string
    {
        $bytes = $this->disk()->exists(self::path($sha256)) ? $this->disk()->get(self::path($sha256)) : null;
        if ($bytes === null || hash('sha256', $bytes) !== $sha256) {
            throw new StoreFailure(
                'A file of this hand-in is damaged on the server’s disk. Drop its zip again: that mends it.',
            );
        }

        return $bytes;
    }

    /** @return bool false when something has come to need it in the meantime */
    public function drop(string $sha256): bool
    {
        try {
            DB::table('blobs')->where('sha256', $sha256)->delete();
        } catch (QueryException) {
            return false;
        }
        $this->disk()->delete(self::path($sha256));

        return true;
    }

    private function write(string $path, string $bytes, string $sha256): void
    {
        $draft = dirname($path).'/.'.Str::random(20);
        try {
            $this->disk()->put($draft, $bytes);
            if (hash('sha256', (string) $this->disk()->get($draft)) !== $sha256) {
                throw new \UnexpectedValueException('Not all of the bytes are there.');
            }
            $this->disk()->move($draft, $path);
        } catch (\Throwable $error) {
            rescue(fn () => $this->disk()->delete($draft), report: false);
            throw new StoreFailure('The server could not keep a file; its disk may be full.', previous: $error);
        }
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
