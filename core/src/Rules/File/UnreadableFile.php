<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\FileType;
use InkedMargin\Core\Source\PictureSize;

/** A file with the signature of a picture that breaks off or is damaged, so that it has no size. Common practice. */
final readonly class UnreadableFile extends Rule
{
    public function __construct()
    {
        parent::__construct('file/unreadable', Weight::Fault, ProofMark::Look, 'A picture cannot be read.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->site->ownFiles() as $file) {
            $isRaster = $file->kind() === FileKind::Picture && in_array(FileType::of($file->bytes), [FileType::Png, FileType::Jpeg, FileType::Gif, FileType::Webp], true);
            if ($isRaster && PictureSize::of($file) === null) {
                yield $this->about($file->path, $file, "{$file->path} begins like a picture, and cannot be read as one.", 'Save the picture again, and look at it in a browser.');
            }
        }
    }
}
