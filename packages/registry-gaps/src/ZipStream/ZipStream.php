<?php

declare(strict_types=1);

namespace ZipStream;

use RuntimeException;
use ZipArchive;

/** A zip that is written to a stream: what `phpoffice/phpspreadsheet` asks of `maennchen/zipstream-php`, by ext-zip. */
final class ZipStream
{
    private readonly ZipArchive $zip;

    private readonly string $path;

    /** @param  resource  $outputStream */
    public function __construct(
        bool $enableZip64 = true,
        private readonly mixed $outputStream = null,
        bool $sendHttpHeaders = true,
        bool $defaultEnableZeroHeader = true,
    ) {
        $this->path = (string) tempnam(sys_get_temp_dir(), 'zip');
        $this->zip = new ZipArchive;
        if ($this->zip->open($this->path, ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('There is no room for a zip.');
        }
    }

    public function addFile(string $fileName, string $data): void
    {
        $this->zip->addFromString($fileName, $data);
    }

    public function finish(): int
    {
        $this->zip->close();
        $stream = fopen($this->path, 'rb');
        $bytes = $stream === false ? false : stream_copy_to_stream($stream, $this->outputStream);
        unlink($this->path);

        return $bytes === false ? throw new RuntimeException('The zip could not be written.') : $bytes;
    }
}
