<?php

declare(strict_types=1);

namespace App\Intake;

use Illuminate\Http\UploadedFile;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Intake\EntryName;
use InkedMargin\Core\Intake\Limits;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\RefusalReason;
use InkedMargin\Core\Intake\SiteRoot;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Utf8;

/** A site that came as one zip, as a folder, or as loose files. */
final readonly class SiteUpload
{
    /**
     * @param  non-empty-list<UploadedFile>  $files
     * @param  list<string>  $paths  of each in its folder, as the browser knows them; '' for a loose file
     *
     * @throws Refusal in words that can be shown
     */
    public static function read(array $files, array $paths): Site
    {
        $name = Utf8::scrub($files[0]->getClientOriginalName());
        if (count($files) === 1 && str_ends_with(strtolower($name), '.zip')) {
            return (new ArchiveReader)->read($files[0]->getPathname(), $name);
        }
        $limits = new Limits;
        $read = [];
        $total = 0;
        foreach ($files as $at => $file) {
            $path = EntryName::clean(($paths[$at] ?? '') ?: Utf8::scrub($file->getClientOriginalName()), $limits);
            $total += (int) $file->getSize();
            if ($total > $limits->totalBytes) {
                throw new Refusal(
                    RefusalReason::TotalTooLarge,
                    'These files have more than '.English::bytes($limits->totalBytes).", at \"$path\".",
                );
            }
            $read[$path] = new SourceFile($path, (string) file_get_contents($file->getPathname()));
        }

        return SiteRoot::find(explode('/', (string) array_key_first($read))[0], $read, null);
    }
}
