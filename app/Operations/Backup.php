<?php

declare(strict_types=1);

namespace App\Operations;

use App\Storage\BlobStore;
use App\Storage\SharedDisk;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use RuntimeException;

/**
 * The database and the files of an installation in a folder, and back. Files are named by the SHA-256 of their bytes
 * and never change: what is in the folder already is not copied again.
 */
final readonly class Backup
{
    private const DUMP = 'database.dump';

    private const SECONDS = 7_200;

    public function __construct(private string $folder)
    {
    }

    /** @return int how many files were copied */
    public function write(): int
    {
        // All that is written here is full of names and marks: it is for its owner alone.
        umask(0o077);
        File::ensureDirectoryExists("$this->folder/blobs", 0o700);
        // The database first: then every file that it names is in the copy.
        $this->run(['pg_dump', '--format=custom', '--no-owner', "--file=$this->folder/".self::DUMP.'.new']);
        $copied = 0;
        foreach (self::hashes() as $sha256) {
            $path = "$this->folder/blobs/$sha256";
            if (! File::exists($path)) {
                self::copy($sha256, $path);
                $copied++;
            }
        }
        // Only a backup that is whole takes the place of the one before.
        File::move("$this->folder/".self::DUMP.'.new', "$this->folder/".self::DUMP);

        return $copied;
    }

    /**
     * @return int how many files were brought back
     *
     * @throws RuntimeException where the database is not empty, or the folder holds no backup
     */
    public function restore(BlobStore $blobs): int
    {
        if (! File::exists("$this->folder/".self::DUMP)) {
            throw new RuntimeException("There is no backup in $this->folder. Nothing was changed.");
        }
        if (DB::table('information_schema.tables')->where('table_schema', 'public')->exists()) {
            throw new RuntimeException('The database is not empty. Nothing was changed.');
        }
        $database = config()->string('database.connections.pgsql.database');
        $this->run([
            'pg_restore', '--no-owner', '--exit-on-error', '--single-transaction', "--dbname=$database",
            "$this->folder/".self::DUMP,
        ]);
        $count = 0;
        foreach (self::hashes() as $sha256) {
            $path = "$this->folder/blobs/$sha256";
            if (! File::exists($path) || $blobs->putFile($path) !== $sha256) {
                throw new RuntimeException(
                    "The file $sha256 of the backup is missing or damaged. The database is back; restore into an empty "
                        .'one again.',
                );
            }
            $count++;
        }

        return $count;
    }

    /** @return list<string> of all files */
    private static function hashes(): array
    {
        /** @var list<string> */
        return DB::table('blobs')->orderBy('sha256')->pluck('sha256')->all();
    }

    private static function copy(string $sha256, string $to): void
    {
        $stream = SharedDisk::get()->readStream(BlobStore::path($sha256));
        if (
            $stream === null
            || file_put_contents("$to.new", $stream) === false
            || hash_file('sha256', "$to.new") !== $sha256
        ) {
            throw new RuntimeException("The file $sha256 could not be copied whole; the disk may be full.");
        }
        File::move("$to.new", $to);
    }

    /** @param  list<string>  $command */
    private function run(array $command): void
    {
        $setting = fn (string $name) => config()->string("database.connections.pgsql.$name");
        Process::timeout(self::SECONDS)->env([
            'PGHOST' => $setting('host'), 'PGPORT' => $setting('port'), 'PGUSER' => $setting('username'),
            'PGPASSWORD' => $setting('password'), 'PGDATABASE' => $setting('database'),
        ])->run($command)->throw();
    }
}
