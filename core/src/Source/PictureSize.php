<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** The size of a picture in its own pixels. */
final readonly class PictureSize
{
    private function __construct(public int $width, public int $height)
    {
    }

    /** Null when the file is no picture with pixels, or is damaged. */
    public static function of(SourceFile $file): ?self
    {
        // A reader of pictures warns of what it does not know; it is only shown what begins like one.
        $size = in_array(
            FileType::of($file->bytes),
            [FileType::Png, FileType::Jpeg, FileType::Gif, FileType::Webp],
            true,
        )
            ? @getimagesizefromstring($file->bytes)
            : false;

        return $size === false || $size[0] < 1 || $size[1] < 1 ? null : new self($size[0], $size[1]);
    }
}
