<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\File;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\FileType;
use InkedMargin\Core\Source\PictureSize;

/** A file with the signature of a picture that is cut off or damaged, so that it has no size. Common practice. */
final readonly class Unreadable extends Rule
{
    private const RASTER = [FileType::Png, FileType::Jpeg, FileType::Gif, FileType::Webp];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'file/unreadable',
            'Damaged picture',
            Weight::Fault,
            ProofMark::Look,
            'A picture cannot be opened.',
            'A browser cannot draw a picture whose data is broken. Visitors see a gap, or half a '
                .'picture.',
            Citation::practice(),
            ['file/wrong-type'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->files->ownFiles() as $file) {
            $type = $file->kind() === FileKind::Picture ? FileType::of($file->bytes) : null;
            if ($type !== null && in_array($type, self::RASTER, true) && PictureSize::of($file) === null) {
                yield Draft::aboutFile($file->path, $file)
                    ->says("`{$file->path}` starts like a picture, but it is damaged.")
                    ->remedy('Save the picture again, and open it in a browser to check.');
            }
        }
    }
}
