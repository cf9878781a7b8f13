<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\SourceFile;

/** The files of one hand-in, by path, seen from the site's root. */
final class Site
{
    /** What servers show when no page is named. */
    public const HOME = 'index.html';

    /** @var array<string, SourceFile> sorted by path */
    private readonly array $files;

    /** @var array<string, string> lower-cased path => path */
    private array $caseless = [];

    /** @var array<string, SourceFile>|null */
    private ?array $ownFiles = null;

    /** @var array<string, true> */
    private array $folders = [];

    /** @var array<string, list<string>> paths by lower-cased file name */
    private array $byName = [];

    /** @param  iterable<SourceFile>  $files */
    public function __construct(
        public readonly string $name,
        iterable $files,
        public readonly Packing $packing = new Packing,
    ) {
        $byPath = [];
        foreach ($files as $file) {
            $byPath[$file->path] = $file;
        }
        ksort($byPath, SORT_STRING);
        foreach ($byPath as $file) {
            $path = $file->path;
            $this->caseless[mb_strtolower($path)] ??= $path;
            $this->byName[mb_strtolower(basename($path))][] = $path;
            $folder = $file->folder();
            while ($folder !== '' && ! isset($this->folders[$folder])) {
                $this->folders[$folder] = true;
                $folder = self::above($folder);
            }
        }
        $this->files = $byPath;
    }

    /** The same files as the hand-in of a student; null when the student is not known. */
    public function for(?string $handle, ?string $address = null): self
    {
        if ($handle === null && $address === null) {
            return $this;
        }
        $packing = new Packing(
            $this->packing->archive,
            $this->packing->folders,
            $handle ?? $this->packing->handle,
            $this->packing->usualDepth,
            $address ?? $this->packing->address,
        );

        return new self($this->name, $this->files, $packing);
    }

    /** @return array<string, SourceFile> */
    public function files(): array
    {
        return $this->files;
    }

    /** Bytes of all files. */
    public function size(): int
    {
        return array_sum(array_map(fn (SourceFile $file) => strlen($file->bytes), $this->files()));
    }

    /** @return array<string, SourceFile> by path, without what systems and editors left behind */
    public function ownFiles(): array
    {
        return $this->ownFiles ??= array_filter($this->files, fn (SourceFile $file) => ! LitterNames::is($file->path));
    }

    /** @return list<string> */
    public function paths(): array
    {
        return array_map(strval(...), array_keys($this->files));
    }

    /** @return list<string> without what systems and editors left behind */
    public function ownPaths(): array
    {
        return array_map(strval(...), array_keys($this->ownFiles()));
    }

    /** Whether a file is of a library that somebody else made. Common practice. */
    public static function isVendored(string $path): bool
    {
        return preg_match(
            '~(?:^|/)(?:vendors?|node_modules|bower_components|plugins|libs?)/|[.-]min\.(?:js|css)(?:\.map)?$~i',
            $path,
        ) === 1;
    }

    /** @return list<SourceFile> */
    public function ofKind(FileKind $kind): array
    {
        return array_values(array_filter($this->files, fn (SourceFile $file) => $file->kind() === $kind));
    }

    public function file(string $path): ?SourceFile
    {
        return $this->files[$path] ?? null;
    }

    public function hasFolder(string $path): bool
    {
        return isset($this->folders[rtrim($path, '/')]);
    }

    /** The path as it is really spelled, when it is there but for letter case. */
    public function spelling(string $path): ?string
    {
        return $this->caseless[mb_strtolower($path)] ?? null;
    }

    /** @return list<string> the paths of all files of a name, in any letter case and any folder */
    public function named(string $name): array
    {
        return $this->byName[mb_strtolower($name)] ?? [];
    }

    /** @return list<string> the names of all files, in lower case, each once */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->byName));
    }

    public function home(): ?SourceFile
    {
        return $this->file(self::HOME);
    }

    private static function above(string $folder): string
    {
        $slash = strrpos($folder, '/');

        return $slash === false ? '' : substr($folder, 0, $slash);
    }
}
