<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use ZipArchive;

/** Reads a zip into memory under limits. Nothing is written to disk, so nothing half-unpacked can stay behind. */
final readonly class ArchiveReader
{
    private const LINK = 0o120000;

    private const FILE_TYPE = 0o170000;

    public function __construct(private Limits $limits = new Limits, private RootHints $hints = new RootHints)
    {
    }

    /**
     * @param  string  $path  of the zip on disk
     * @param  string  $name  as its sender called it, for messages and as the site's name
     * @param  bool  $isSent  false where a folder was packed on its way: then its name is nobody's choice
     *
     * @throws Refusal naming the entry and the limit
     */
    public function read(string $path, string $name, bool $isSent = true): Site
    {
        $zip = new ZipArchive;
        $opened = is_file($path) && filesize($path) > 0 ? $zip->open($path, ZipArchive::RDONLY) : ZipArchive::ER_NOZIP;
        if ($opened !== true) {
            throw new Refusal(RefusalReason::NotAnArchive, self::notAZip($name));
        }
        try {
            return SiteRoot::find(
                pathinfo($name, PATHINFO_FILENAME),
                $this->files($zip, $name, new UnpackedSize($this->limits, $name, (int) filesize($path))),
                $isSent ? $name : null,
                $this->hints,
            );
        } finally {
            $zip->close();
        }
    }

    private static function notAZip(string $name): string
    {
        $kind = match (1) {
            preg_match('/\.rar$/i', $name) => 'a RAR archive',
            preg_match('/\.7z$/i', $name) => 'a 7z archive',
            preg_match('/\.(?:tar(?:\.\w+)?|t[gbx]z2?|gz)$/i', $name) => 'a tar archive',
            default => null,
        };

        return $kind === null
            ? "\"$name\" is not a zip archive."
            : "\"$name\" is $kind, and only zip is read here. Unpack it, and make a zip of the folder.";
    }

    /** @return array<string, SourceFile> */
    private function files(ZipArchive $zip, string $name, UnpackedSize $size): array
    {
        $this->refuseCount($zip->numFiles);
        $size->refuseDeclared($zip);
        $files = [];
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $entry = $zip->statIndex($index) ?: throw new Refusal(
                RefusalReason::Unreadable,
                "The list of files in \"$name\" is damaged.",
            );
            $path = EntryName::clean($entry['name'], $this->limits);
            $this->refuseLink($zip, $index, $path);
            if (str_ends_with(str_replace('\\', '/', $entry['name']), '/')) {
                continue;
            }
            if (isset($files[$path])) {
                throw new Refusal(RefusalReason::Twice, "The archive holds \"$path\" twice.");
            }
            $bytes = $this->entryBytes($zip, $index, $path, $entry, $size);
            $files[$path] = new SourceFile($path, $bytes);
        }
        if ($files === []) {
            throw new Refusal(RefusalReason::Empty, "\"$name\" holds no files.");
        }

        return $files;
    }

    /** @param  array{size: int, comp_size: int, crc: int, encryption_method?: int}  $entry */
    private function entryBytes(
        ZipArchive $zip,
        int $index,
        string $path,
        array $entry,
        UnpackedSize $size,
    ): string {
        if (($entry['encryption_method'] ?? 0) !== ZipArchive::EM_NONE) {
            throw new Refusal(RefusalReason::Encrypted, "The entry \"$path\" is locked with a password.");
        }
        $stream = $zip->getStreamIndex($index);
        if ($stream === false) {
            throw new Refusal(RefusalReason::Unreadable, "The entry \"$path\" cannot be unpacked.");
        }
        // Damaged bytes are told as warnings, which must reach nobody: what did not come out is found out below.
        set_error_handler(static fn (): bool => true);
        try {
            $bytes = self::unpacked($stream, $path, $entry['comp_size'], $size);
        } finally {
            restore_error_handler();
            fclose($stream);
        }
        if (strlen($bytes) !== $entry['size']) {
            throw new Refusal(
                RefusalReason::Unreadable,
                "The entry \"$path\" is damaged: ".strlen($bytes)." bytes came out of {$entry['size']}.",
            );
        }
        if (crc32($bytes) !== $entry['crc']) {
            throw new Refusal(
                RefusalReason::Unreadable,
                "The entry \"$path\" is damaged: its bytes are not those that were packed. Make the archive anew.",
            );
        }

        return $bytes;
    }

    /** @param  resource  $stream */
    private static function unpacked($stream, string $path, int $packedBytes, UnpackedSize $size): string
    {
        $bytes = '';
        while (! feof($stream)) {
            $chunk = fread($stream, 65_536);
            if ($chunk === false || $chunk === '') {
                break;
            }
            $bytes .= $chunk;
            $size->add(strlen($chunk), $path, strlen($bytes), $packedBytes);
        }

        return $bytes;
    }

    private function refuseCount(int $entries): void
    {
        if ($entries > $this->limits->files) {
            throw new Refusal(
                RefusalReason::TooManyFiles,
                "The archive has $entries entries; {$this->limits->files} are the most.",
            );
        }
    }

    private function refuseLink(ZipArchive $zip, int $index, string $path): void
    {
        $system = $attributes = 0;
        $zip->getExternalAttributesIndex($index, $system, $attributes);
        if ($system === ZipArchive::OPSYS_UNIX && (($attributes >> 16) & self::FILE_TYPE) === self::LINK) {
            throw new Refusal(RefusalReason::Link, "The entry \"$path\" is a link to another place, not a file.");
        }
    }
}
