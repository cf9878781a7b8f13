<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style;

use InkedMargin\Core\Markup\FileEncoding;
use InkedMargin\Core\Markup\OriginalOffsets;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Style\Syntax\Parser;

/** Reads a stylesheet as a browser does (CSS Syntax Level 3). It never fails: every run of bytes is some sheet. */
final class StyleReader
{
    private const MARK = "\xEF\xBB\xBF";

    public static function read(SourceFile $file): ReadSheet
    {
        $encoding = FileEncoding::ofSheet($file->bytes);
        $isText = $encoding->isUtf8() && $file->firstInvalidByte() === null;
        $source = $isText
            ? $file
            : new SourceFile(
                $file->path,
                $encoding->decode($file->bytes),
                (new OriginalOffsets($file->bytes, $encoding))->of(...),
            );
        $mark = str_starts_with($source->bytes, self::MARK) ? strlen(self::MARK) : 0;

        return new ReadSheet($source, Parser::sheet(substr($source->bytes, $mark), $mark));
    }
}
