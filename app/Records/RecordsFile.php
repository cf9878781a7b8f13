<?php

declare(strict_types=1);

namespace App\Records;

use RuntimeException;
use ZipArchive;

/** A zip that is the same to the last byte whenever the same is put into it in the same order. */
final class RecordsFile
{
    /** Of every entry: 1 January 2000, as no file's own time is known. */
    private const TIME = 946_684_800;

    /** What is added is written out after so many entries, so that none of it is held for long. */
    private const FLUSHED_AFTER = 200;

    private ZipArchive $zip;

    private int $held = 0;

    public function __construct(private readonly string $path)
    {
        $this->zip = new ZipArchive;
        $this->open(ZipArchive::CREATE | ZipArchive::OVERWRITE);
    }

    public function add(string $name, string $bytes): void
    {
        $this->zip->addFromString($name, $bytes);
        // What is packed already does not get smaller.
        $this->zip->setCompressionName(
            $name,
            str_starts_with($bytes, 'PK') ? ZipArchive::CM_STORE : ZipArchive::CM_DEFLATE,
        );
        $this->zip->setMtimeName($name, self::TIME);
        if (++$this->held >= self::FLUSHED_AFTER) {
            $this->close();
            $this->open(0);
        }
    }

    public function close(): void
    {
        if (! $this->zip->close()) {
            throw new RuntimeException('The records could not be written; the disk may be full.');
        }
        $this->held = 0;
    }

    private function open(int $flags): void
    {
        if ($this->zip->open($this->path, $flags) !== true) {
            throw new RuntimeException('The records could not be written; the disk may be full.');
        }
    }
}
