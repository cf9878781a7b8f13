<?php

declare(strict_types=1);

namespace App\Storage;

use InkedMargin\Core\Site\Site;
use ZipArchive;

/** Makes zips. The same files make the same bytes, so that what comes again is known by its hash. */
final readonly class SiteZip
{
    /** Of every entry: 1 January 2000, as no file's own time is known. */
    private const TIME = 946_684_800;

    /** @param  string  $folder  that the files are in */
    public static function of(Site $site, string $folder): string
    {
        $files = [];
        foreach ($site->files() as $file) {
            $files["$folder/$file->path"] = $file->bytes;
        }

        return self::ofFiles($files);
    }

    /** @param  iterable<string, string>  $files  bytes by the name of the entry */
    public static function ofFiles(iterable $files): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'site');
        try {
            $zip = new ZipArchive;
            $zip->open($path, ZipArchive::OVERWRITE);
            foreach ($files as $name => $bytes) {
                $zip->addFromString($name, $bytes);
                $zip->setMtimeName($name, self::TIME);
            }
            $zip->close();

            return (string) file_get_contents($path);
        } finally {
            @unlink($path);
        }
    }
}
