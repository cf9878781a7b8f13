<?php

declare(strict_types=1);

namespace App\Sites;

use InkedMargin\Core\Site\Site;
use ZipArchive;

/** A site as a zip in which everything is in one folder. */
final readonly class SiteZip
{
    /** @param  string  $folder  that the files are in */
    public static function of(Site $site, string $folder): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'site');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($site->files() as $file) {
            $zip->addFromString("$folder/$file->path", $file->bytes);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }
}
