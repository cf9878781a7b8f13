<?php

declare(strict_types=1);

namespace App\Intake;

use App\Storage\SiteZip;
use App\Storage\TemporaryFile;
use InkedMargin\Core\Intake\EntryName;
use InkedMargin\Core\Intake\Limits;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\RefusalReason;
use InkedMargin\Core\Intake\UnpackedSize;
use InkedMargin\Core\Site\LitterNames;
use InkedMargin\Core\Source\English;
use ZipArchive;

/**
 * An archive of a whole class: zips in a zip, a folder for each student, or both. One level is opened; what is inside
 * goes through the same intake as if it had been dropped alone.
 */
final readonly class ClassArchive
{
    private const MAX_ENTRIES = 50_000;

    private const MAX_PARTS = 500;

    /** Bytes of all parts, unpacked, at most. */
    private const LARGEST = 2_000_000_000;

    /** Bytes of one part, packed, at most. */
    private const LARGEST_PART = 100_000_000;

    /**
     * @param  array<string, list<array{int, string}>>  $parts  entries (index, path) by what they are a part of: a
     *     zip's path, or a folder with its slash
     */
    private function __construct(private ZipArchive $zip, private array $parts)
    {
    }

    /**
     * Hands over each part of a class's archive.
     *
     * @param  \Closure(string): bool  $isStudent  whether a name is plainly that of a student
     * @param  \Closure(ClassPart): void  $take
     * @return int how many there were; 0 where it is the archive of one site
     *
     * @throws Refusal where it is a class's, and too large
     */
    public static function open(string $path, \Closure $isStudent, \Closure $take): int
    {
        return self::with($path, 0, function (ZipArchive $zip) use ($path, $isStudent, $take): int {
            $parts = self::parts($zip, $isStudent);
            if (count($parts) > self::MAX_PARTS) {
                throw new Refusal(
                    RefusalReason::TooManyFiles,
                    'The archive has '.count($parts).' hand-ins in it; '.self::MAX_PARTS.' are the most.',
                );
            }
            $limits = new Limits(totalBytes: self::LARGEST);
            $sum = new UnpackedSize($limits, 'The class’s archive', (int) filesize($path));
            if ($parts !== []) {
                $sum->refuseDeclared($zip);
            }
            $unpacked = 0;
            foreach ((new self($zip, $parts))->each() as $part) {
                // What comes out of the parts counts with what came out of the archive itself.
                $unpacked += $part->packed || $part->bytes === '' ? 0 : self::declaredSize($part->bytes);
                $sum->refuseSum($unpacked);
                $take($part);
            }

            return count($parts);
        });
    }

    /** Whether an archive holds archives, and no page. */
    public static function isOfZips(string $path): bool
    {
        return self::with($path, false, fn (ZipArchive $zip) => self::parts($zip, fn () => false) !== []);
    }

    /** How large an archive in the archive is when it is unpacked, as it says. */
    private static function declaredSize(string $bytes): int
    {
        $stream = fopen('php://temp', 'w+b');
        if ($stream === false) {
            return strlen($bytes);
        }
        fwrite($stream, $bytes);
        rewind($stream);

        return TemporaryFile::with($stream, fn (string $path) => self::with($path, 0, UnpackedSize::declared(...)));
    }

    /**
     * @template T
     *
     * @param  T  $otherwise  where it is no archive
     * @param  \Closure(ZipArchive): T  $read
     * @return T
     */
    private static function with(string $path, mixed $otherwise, \Closure $read): mixed
    {
        $zip = new ZipArchive;
        if (! is_file($path) || filesize($path) === 0 || $zip->open($path, ZipArchive::RDONLY) !== true) {
            return $otherwise;
        }
        try {
            return $read($zip);
        } finally {
            $zip->close();
        }
    }

    /**
     * @param  \Closure(string): bool  $isStudent
     * @return array<string, list<array{int, string}>>
     */
    private static function parts(ZipArchive $zip, \Closure $isStudent): array
    {
        if ($zip->numFiles > self::MAX_ENTRIES) {
            return [];
        }
        $paths = [];
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $name = str_replace('\\', '/', (string) $zip->getNameIndex($index));
            if (! str_ends_with($name, '/') && ! LitterNames::is($name)) {
                $paths[$index] = $name;
            }
        }
        $zips = array_filter($paths, fn (string $path) => str_ends_with(strtolower($path), '.zip'));
        $pages = array_filter($paths, fn (string $path) => preg_match('/\.html?$/i', $path) === 1);
        $top = self::commonFolder($paths);
        $inFolders = [];
        foreach ($paths as $index => $path) {
            $rest = substr($path, strlen($top));
            if (str_contains($rest, '/') && ! isset($zips[$index])) {
                $inFolders[$top.explode('/', $rest)[0].'/'][] = [$index, $path];
            }
        }
        // Pages beside the folders, and it is one site.
        $isOneSite = array_filter($pages, fn (string $path) => ! str_contains(substr($path, strlen($top)), '/')) !== [];
        $named = array_filter(array_keys($inFolders), fn (string $folder) => $isStudent(basename($folder)));
        $isByFolder = ! $isOneSite
            && $named !== []
            && 2 * count($named) >= count($inFolders)
            && count($inFolders) + count($zips) > 1;
        $isOfZips = $zips !== [] && $pages === [];
        if (! $isByFolder && ! $isOfZips) {
            return [];
        }
        $parts = $isByFolder ? $inFolders : [];
        foreach ($zips as $index => $path) {
            // A zip in the folder of a student who has pages there, too, belongs to those.
            $folder = $top.explode('/', substr($path, strlen($top)))[0].'/';
            if (! isset($parts[$folder])) {
                $parts[$path][] = [$index, $path];
            }
        }

        return $parts;
    }

    /**
     * The folders that all lie in, as far as there is but one at each level.
     *
     * @param  array<int, string>  $paths
     */
    private static function commonFolder(array $paths): string
    {
        $common = null;
        foreach ($paths as $path) {
            $folder = dirname($path);
            $folder = $folder === '.' ? '' : "$folder/";
            while ($common !== null && ! str_starts_with($folder, $common)) {
                $common = preg_replace('~[^/]*/$~', '', $common) ?? '';
            }
            $common ??= $folder;
        }
        $common ??= '';
        // One folder alone is no class: it is looked at from above.
        $isDeeper = array_filter($paths, fn (string $path) => str_contains(substr($path, strlen($common)), '/')) !== [];

        return $isDeeper ? $common : preg_replace('~[^/]*/$~', '', $common) ?? '';
    }

    /** @return iterable<ClassPart> */
    private function each(): iterable
    {
        $limits = new Limits;
        foreach ($this->parts as $of => $entries) {
            $isZip = ! str_ends_with($of, '/');
            $folder = dirname($of) === '.' ? '' : dirname($of);
            try {
                yield $isZip
                    ? new ClassPart(basename($of), $folder, $this->bytes($entries[0][0], $of), false, null)
                    : new ClassPart(basename($of), $folder, $this->packed($of, $entries, $limits), true, null);
            } catch (Refusal $refusal) {
                yield new ClassPart(basename($of), $folder, '', ! $isZip, $refusal->getMessage());
            }
        }
    }

    /** @throws Refusal */
    private function bytes(int $index, string $path): string
    {
        $entry = $this->zip->statIndex($index);
        if ($entry === false || ($entry['encryption_method'] ?? 0) !== ZipArchive::EM_NONE) {
            throw new Refusal(RefusalReason::Encrypted, "\"$path\" is locked with a password.");
        }
        if ($entry['size'] > self::LARGEST_PART) {
            throw new Refusal(RefusalReason::FileTooLarge, "\"$path\" has ".English::bytes($entry['size']).'; '
                .English::bytes(self::LARGEST_PART).' is the most.');
        }
        // The extension makes room for as many bytes as it is asked for, and keeps it: one more than there are tells a
        // lie.
        $bytes = $this->zip->getFromIndex($index, $entry['size'] + 1);
        if ($bytes === false || strlen($bytes) !== $entry['size']) {
            throw new Refusal(RefusalReason::Unreadable, "\"$path\" is damaged and cannot be unpacked.");
        }

        return $bytes;
    }

    /**
     * A student's folder as an archive of its own, the same each time.
     *
     * @param  list<array{int, string}>  $entries
     *
     * @throws Refusal
     */
    private function packed(string $folder, array $entries, Limits $limits): string
    {
        if (count($entries) > $limits->files) {
            throw new Refusal(
                RefusalReason::TooManyFiles,
                "\"$folder\" has ".count($entries)." files; $limits->files are the most.",
            );
        }
        $files = [];
        $total = 0;
        foreach ($entries as [$index, $entry]) {
            $bytes = $this->bytes($index, $entry);
            $total += strlen($bytes);
            if ($total > $limits->totalBytes) {
                throw new Refusal(
                    RefusalReason::TotalTooLarge,
                    "Unpacked, \"$folder\" has more than ".English::bytes($limits->totalBytes).'.',
                );
            }
            $files[EntryName::clean(basename($folder).'/'.substr($entry, strlen($folder)), $limits)] = $bytes;
        }

        return SiteZip::ofFiles($files);
    }
}
