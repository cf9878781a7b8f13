<?php

declare(strict_types=1);

namespace App\Storage;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
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
        return $this->putAll([$bytes])[0];
    }

    /**
     * Keeps the files of a site, told to the database at once.
     *
     * @template K of array-key
     *
     * @param  array<K, string>  $files  the bytes of each
     * @return array<K, string> the SHA-256 that each is kept under
     *
     * @throws StoreFailure when the disk does not take one of them whole
     */
    public function putAll(array $files): array
    {
        $hashes = array_map(fn (string $bytes) => hash('sha256', $bytes), $files);
        foreach ($files as $key => $bytes) {
            $this->onDisk($bytes, $hashes[$key], strlen($bytes));
        }
        foreach (array_chunk($files, 500, true) as $chunk) {
            self::tell(array_map(
                fn (string $bytes, string $sha256) => [$sha256, strlen($bytes)],
                $chunk,
                array_intersect_key($hashes, $chunk),
            ));
        }

        return $hashes;
    }

    /**
     * Keeps a file of any size without ever holding all of it in memory.
     *
     * @param  string  $path  of a file on this machine, which stays
     * @return string the SHA-256 the bytes are kept under
     *
     * @throws StoreFailure when the file cannot be read, or the disk does not take it whole
     */
    public function putFile(string $path): string
    {
        $stream = is_readable($path) ? fopen($path, 'rb') : false;
        if ($stream === false) {
            throw new StoreFailure('The server could not read a file that came in; its disk may be full.');
        }
        try {
            [$sha256, $bytes] = [(string) hash_file('sha256', $path), (int) filesize($path)];
            $this->onDisk($stream, $sha256, $bytes);
            self::tell([[$sha256, $bytes]]);

            return $sha256;
        } finally {
            fclose($stream);
        }
    }

    /**
     * Lets an archive be read where its reader needs a file: what is kept is copied piece by piece, and checked on the
     * way.
     *
     * @template T
     *
     * @param  \Closure(string): T  $read  is given the path of a file that is there until it returns
     * @return T
     *
     * @throws StoreFailure when the bytes are gone, or are not those that were kept
     */
    public function withFile(string $sha256, \Closure $read): mixed
    {
        $kept = SharedDisk::get()->exists(self::path($sha256))
            ? SharedDisk::get()->readStream(self::path($sha256))
            : null;
        if ($kept === null) {
            throw self::damaged();
        }

        return TemporaryFile::with($kept, fn (string $path) => hash_file('sha256', $path) === $sha256
            ? $read($path)
            : throw self::damaged());
    }

    /** @throws StoreFailure when they are gone, or are not the bytes that were kept */
    public function get(string $sha256): string
    {
        $bytes = SharedDisk::get()->exists(self::path($sha256)) ? SharedDisk::get()->get(self::path($sha256)) : null;
        if ($bytes === null || hash('sha256', $bytes) !== $sha256) {
            throw self::damaged();
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
        SharedDisk::get()->delete(self::path($sha256));

        return true;
    }

    /** @param  string|resource  $content */
    private function onDisk(mixed $content, string $sha256, int $bytes): void
    {
        $path = self::path($sha256);
        // One of another size was torn off when it was written, by a version that did not look.
        if (! SharedDisk::get()->exists($path) || SharedDisk::get()->size($path) !== $bytes) {
            $this->write($path, $content, $sha256);
        }
    }

    /**
     * @param  list<array{string, int}>  $kept  hash and size of each; in one order, so that two at once do not wait for
     *     each other
     */
    private static function tell(array $kept): void
    {
        $rows = array_map(fn (array $one) => ['sha256' => $one[0], 'bytes' => $one[1]], $kept);
        usort($rows, fn (array $a, array $b) => $a['sha256'] <=> $b['sha256']);
        DB::table('blobs')->insertOrIgnore($rows);
    }

    /** @param  string|resource  $content */
    private function write(string $path, mixed $content, string $sha256): void
    {
        // An object of S3 is there whole or not at all, and to rename it is to write it twice.
        $draft = SharedDisk::isObjectStore() ? $path : dirname($path).'/.'.Str::random(20);
        try {
            SharedDisk::get()->put($draft, $content);
            if ($this->hashOf($draft) !== $sha256) {
                throw new \UnexpectedValueException('Not all of the bytes are there.');
            }
            if ($draft !== $path) {
                SharedDisk::get()->move($draft, $path);
            }
        } catch (\Throwable $error) {
            rescue(fn () => SharedDisk::get()->delete($draft), report: false);
            throw new StoreFailure('The server could not keep a file; its disk may be full.', previous: $error);
        }
    }

    private function hashOf(string $path): ?string
    {
        $stream = SharedDisk::get()->readStream($path);
        if ($stream === null) {
            return null;
        }
        $hash = hash_init('sha256');
        hash_update_stream($hash, $stream);
        fclose($stream);

        return hash_final($hash);
    }

    private static function damaged(): StoreFailure
    {
        return new StoreFailure(
            'A file of this hand-in is damaged on the server’s disk. Drop its zip again: that mends it.',
        );
    }

    /** Where bytes lie on the disk that is shared. */
    public static function path(string $sha256): string
    {
        return 'blobs/'.substr($sha256, 0, 2).'/'.$sha256;
    }
}
