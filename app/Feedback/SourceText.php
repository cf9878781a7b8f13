<?php

declare(strict_types=1);

namespace App\Feedback;

use InkedMargin\Core\Markup\FileEncoding;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Utf8;

/** The text of one file. */
final readonly class SourceText
{
    private const MAX_BYTES = 2_000_000;

    /** @param  value-of<FileKind>  $kind */
    private function __construct(
        public string $path,
        public string $kind,
        public bool $readable,
        public string $text,
        public ?string $remark,
    ) {
    }

    public static function of(SourceFile $file): self
    {
        $encoding = FileEncoding::of($file->bytes);
        $text = $file->kind() === FileKind::Page ? $encoding->decode($file->bytes) : Utf8::scrub($file->bytes);
        $isShort = strlen($file->bytes) <= self::MAX_BYTES;
        $readable = $file->kind() !== FileKind::Picture && ! str_contains($text, "\0") && $isShort;

        return new self($file->path, $file->kind()->value, $readable, $readable ? $text : '', match (true) {
            ! $isShort => 'The file is too large to be shown as text.',
            ! $readable => 'This is no text.',
            ! $encoding->isUtf8() && $file->kind() === FileKind::Page => "The file is {$encoding->name} and not UTF-8.",
            $file->firstInvalidByte() !== null => 'The file is not UTF-8: what could not be read is shown as �.',
            default => null,
        });
    }
}
