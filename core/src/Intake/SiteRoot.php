<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

use InkedMargin\Core\Site\LitterNames;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** Finds the folder of an archive in which the site itself begins. */
final readonly class SiteRoot
{
    /** Folders that are parts of a site, and not around one. Common practice. */
    private const PARTS = [
        'pages', 'images', 'image', 'img', 'pics', 'pictures', 'photos', 'media', 'assets', 'styles', 'style', 'css',
        'scripts', 'js', 'fonts',
    ];

    /**
     * A folder that holds everything is gone into while the home page is in there: the shape may be wrong then, but
     * everything else can still be judged. Without a home page the root is where most of what should be there is, or
     * where the pages are.
     *
     * @param  array<string, SourceFile>  $files
     * @param  string|null  $archive the name of the archive, in which a single top folder is the site in any case; null
     *     for a folder
     */
    public static function find(
        string $name,
        array $files,
        ?string $archive,
        RootHints $hints = new RootHints,
    ): Site {
        /** @var non-empty-list<array{list<string>, array<string, SourceFile>}> $levels from the outermost in */
        $levels = [[[], $files]];
        while (($only = self::onlyFolder($files)) !== null) {
            $files = self::inside($files, $only);
            $levels[] = [[...$levels[count($levels) - 1][0], $only], $files];
        }
        [$folders, $inside] = $levels[self::depth($levels, $archive !== null, $hints)];

        $called = $folders === [] ? $name : $folders[count($folders) - 1];

        return new Site($called, $inside, new Packing($archive, $folders));
    }

    /** @param  non-empty-list<array{list<string>, array<string, SourceFile>}>  $levels */
    private static function depth(array $levels, bool $isArchive, RootHints $hints): int
    {
        foreach (array_reverse($levels, true) as $depth => [, $files]) {
            if (isset($files['index.html'])) {
                return $depth;
            }
        }
        $found = array_map(fn (array $level) => $hints->found($level[1]), $levels);
        if (max($found) > 0) {
            return (int) array_search(max($found), $found, true);
        }

        return self::likelyDepth($levels, $isArchive, $hints->usualDepth);
    }

    /** @param  non-empty-list<array{list<string>, array<string, SourceFile>}>  $levels */
    private static function likelyDepth(array $levels, bool $isArchive, ?int $usual): int
    {
        $deepest = count($levels) - 1;
        while ($deepest > 1 && self::isPart($levels[$deepest][0])) {
            $deepest--;
        }
        $isPart = $deepest === 1 && self::isPart($levels[1][0]);

        $likely = $isPart && ! $isArchive ? 0 : $deepest;

        return min($likely, $usual > 0 ? $usual : $likely);
    }

    /** @param  list<string>  $folders */
    private static function isPart(array $folders): bool
    {
        return in_array(mb_strtolower($folders[count($folders) - 1] ?? ''), self::PARTS, true);
    }

    /** @param  array<string, SourceFile>  $files */
    private static function onlyFolder(array $files): ?string
    {
        $top = null;
        foreach (array_keys($files) as $path) {
            if (LitterNames::is((string) $path)) {
                continue;
            }
            [$first, $rest] = explode('/', (string) $path, 2) + [1 => ''];
            if ($rest === '' || ($top !== null && $top !== $first)) {
                return null;
            }
            $top = $first;
        }

        return $top;
    }

    /**
     * @param  array<string, SourceFile>  $files
     * @return array<string, SourceFile>
     */
    private static function inside(array $files, string $folder): array
    {
        $inside = [];
        foreach ($files as $path => $file) {
            $path = str_starts_with((string) $path, "$folder/")
                ? substr((string) $path, strlen($folder) + 1)
                : (string) $path;
            $inside[$path] = new SourceFile($path, $file->bytes);
        }

        return $inside;
    }
}
