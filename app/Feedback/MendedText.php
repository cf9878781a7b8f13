<?php

declare(strict_types=1);

namespace App\Feedback;

use InkedMargin\Core\Markup\FileEncoding;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\SourceFile;

/** The text of a file that is mended, and the file that a text makes. */
final readonly class MendedText
{
    private const BOM = "\u{FEFF}";

    /** Why there can be no mended copy of a file, in words that can be shown; null where there can. */
    public static function refusal(SourceFile $file): ?string
    {
        return match (true) {
            ! SourceText::of($file)->readable => 'This is no text that could be mended.',
            ! self::isUtf8($file) => 'The file is not UTF-8. A mended copy is made of files in UTF-8 alone, '
                .'as it would be another file otherwise.',
            default => null,
        };
    }

    /** With line feeds alone, as editors have it, and without a byte order mark. */
    public static function of(string $bytes): string
    {
        $text = str_starts_with($bytes, self::BOM) ? substr($bytes, strlen(self::BOM)) : $bytes;

        return str_replace(["\r\n", "\r"], "\n", $text);
    }

    /** The site with a text in place of one of its files. */
    public static function in(Site $site, string $path, string $text): Site
    {
        $files = $site->files();
        $mark = str_starts_with($files[$path]->bytes, self::BOM) ? self::BOM : '';
        $files[$path] = new SourceFile($path, $mark.$text);

        return new Site($site->name, $files, $site->packing);
    }

    /**
     * Where something is in the text that stands at an offset of the file.
     *
     * @param  list<int>  $offsets  in bytes of the file
     * @return array<int, int> places in the text by offset, in UTF-16 code units, as JavaScript counts
     */
    public static function places(SourceFile $file, array $offsets): array
    {
        $mark = str_starts_with($file->bytes, self::BOM) ? strlen(self::BOM) : 0;
        $offsets = array_unique($offsets);
        sort($offsets);
        $places = [];
        [$at, $units] = [$mark, 0];
        foreach ($offsets as $offset) {
            $part = substr($file->bytes, $at, max(0, $offset - $at));
            $units += intdiv(strlen(mb_convert_encoding($part, 'UTF-16LE', 'UTF-8')), 2);
            $at = max($at, $offset);
            $places[$offset] = $units;
        }

        return $places;
    }

    private static function isUtf8(SourceFile $file): bool
    {
        return $file->firstInvalidByte() === null
            && ($file->kind() !== FileKind::Page || FileEncoding::of($file->bytes)->isUtf8());
    }
}
