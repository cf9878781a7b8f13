<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\HandIn;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

/** Gives the files of a hand-in back as the site they are. */
final readonly class SiteStore
{
    /** So many classmates have to have handed in before there is a usual way to pack. */
    private const ENOUGH = 3;

    public function __construct(private BlobStore $blobs)
    {
    }

    public function read(HandIn $handIn): Site
    {
        return new Site(
            $handIn->site_name,
            $handIn->files->map(fn ($file) => new SourceFile($file->path, $this->blobs->get($file->sha256))),
            $this->packing($handIn),
        );
    }

    /** How a hand-in was sent, and how the class sends: what a check knows besides the files. */
    public function packing(HandIn $handIn): Packing
    {
        return new Packing(
            $handIn->archive_name,
            $handIn->folders ?? [$handIn->site_name],
            $handIn->student->handle,
            $this->usualDepth($handIn),
        );
    }

    /**
     * How many folders are around the sites of two thirds of the class; null when they differ, or few have handed in.
     */
    private function usualDepth(HandIn $handIn): ?int
    {
        $depths = HandIn::query()->newest()->where(
            'assignment_id',
            $handIn->assignment_id,
        )->where('student_id', '!=', $handIn->student_id)
            ->whereNotNull('folders')->get(['folders'])
            ->countBy(fn (HandIn $other) => count($other->folders ?? []))->sortDesc()->all();
        $most = array_key_first($depths);
        $all = array_sum($depths);

        return $most !== null && $all >= self::ENOUGH && 3 * $depths[$most] >= 2 * $all ? (int) $most : null;
    }
}
