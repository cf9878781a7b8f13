<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

use InkedMargin\Core\Site\Litter;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** Finds the folder of an archive in which the site itself begins. */
final readonly class SiteRoot
{
    /**
     * A folder that holds everything is gone into while the home page is in there: the shape may be wrong then, but
     * everything else can still be judged.
     *
     * @param  array<string, SourceFile>  $files
     * @param  string|null  $archive the name of the archive, in which a single top folder is the site in any case; null
     *     for a folder
     */
    public static function find(string $name, array $files, ?string $archive): Site
    {
        $site = new Site($name, $files, new Packing($archive));
        $inTopFolder = $archive !== null;
        $folders = [];
        while (($only = self::onlyFolder($files)) !== null) {
            $files = self::inside($files, $only);
            $folders[] = $only;
            if ($inTopFolder || isset($files['index.html'])) {
                $site = new Site($only, $files, new Packing($archive, $folders));
            }
            $inTopFolder = false;
        }

        return $site;
    }

    /** @param  array<string, SourceFile>  $files */
    private static function onlyFolder(array $files): ?string
    {
        $top = null;
        foreach (array_keys($files) as $path) {
            if (Litter::is((string) $path)) {
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
