<?php

declare(strict_types=1);

namespace App\Sites;

use App\Models\HandIn;
use App\Models\HandInFile;
use App\Storage\BlobStore;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** Gives the files of a hand-in back as the site they are. */
final readonly class SiteStore
{
    public function __construct(private BlobStore $blobs)
    {
    }

    /** @param  ClassShape|null  $class  asked for where it is not given */
    public function read(HandIn $handIn, ?ClassShape $class = null): Site
    {
        return new Site(
            $handIn->site_name,
            $handIn->files->map(fn ($file) => new SourceFile($file->path, $this->blobs->get($file->sha256))),
            $this->packing($handIn, $class),
        );
    }

    /** @param  iterable<HandInFile>  $files  of a hand-in, without what is known besides of how they came */
    public function ofFiles(iterable $files): Site
    {
        $read = [];
        foreach ($files as $file) {
            $read[] = new SourceFile($file->path, $this->blobs->get($file->sha256));
        }

        return new Site('', $read);
    }

    /** How a hand-in was sent, and how the class sends: what a check knows besides the files. */
    public function packing(HandIn $handIn, ?ClassShape $class = null): Packing
    {
        $class ??= ClassShape::of($handIn->assignment_id);

        return new Packing(
            $handIn->archive_name === '' ? null : $handIn->archive_name,
            $handIn->folders ?? [$handIn->site_name],
            $handIn->student->handle,
            $class->usualDepthBeside($handIn->student_id),
            $handIn->address,
        );
    }
}
