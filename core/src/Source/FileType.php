<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/**
 * What the bytes of a file are, whatever its name says (MIME Sniffing Standard, section 6, and the signatures of other
 * formats, common practice).
 */
enum FileType: string
{
    case Png = 'a PNG picture';
    case Jpeg = 'a JPEG picture';
    case Gif = 'a GIF picture';
    case Webp = 'a WebP picture';
    case Bmp = 'a BMP picture';
    case Icon = 'an icon';
    case Avif = 'an AVIF picture';
    case Zip = 'a zip archive, or a document of an office program';
    case OldOffice = 'a document of an office program';
    case Rtf = 'a document of a word processor (RTF)';
    case Pdf = 'a PDF';
    case WordProcessorHtml = 'a page that a word processor wrote';
    case Utf16 = 'text in UTF-16';
    case Binary = 'no text';
    case Text = 'text';

    private const SIGNATURES = [
        "\x89PNG\r\n\x1a\n" => self::Png, "\xff\xd8\xff" => self::Jpeg, 'GIF87a' => self::Gif, 'GIF89a' => self::Gif,
        "\0\0\1\0" => self::Icon, 'BM' => self::Bmp,
        "PK\3\4" => self::Zip, "PK\5\6" => self::Zip, "\xd0\xcf\x11\xe0\xa1\xb1\x1a\xe1" => self::OldOffice,
        '{\rtf' => self::Rtf, '%PDF-' => self::Pdf,
        "\xfe\xff" => self::Utf16, "\xff\xfe" => self::Utf16,
    ];

    /**
     * By the first bytes; a file that has no signature is text unless it holds bytes that no text does (MIME Sniffing,
     * 7.2).
     */
    public static function of(string $bytes): self
    {
        foreach (self::SIGNATURES as $signature => $type) {
            if (str_starts_with($bytes, (string) $signature) && ($type !== self::Bmp
                || preg_match('/[\x00-\x08]/', substr($bytes, 0, 64)) === 1)) {
                return $type;
            }
        }
        $start = substr($bytes, 0, 4096);

        return match (true) {
            str_starts_with($start, 'RIFF') && substr($start, 8, 4) === 'WEBP' => self::Webp,
            substr($start, 4, 8) === 'ftypavif' => self::Avif,
            // Markup with a byte that no text has is still markup, and read with a parse error.
            preg_match('/[\x00-\x08\x0e-\x1a\x1c-\x1f]/', $start) === 1
                && preg_match(
                    '~<(?:!doctype|html|head|body|title|h[1-6]|p|div|table|script|style|meta|link|a|ul)\b~i',
                    $start,
                ) !== 1 => self::Binary,
            preg_match('/xmlns:\w+\s*=\s*["\']urn:schemas-[a-z-]+:office/i', $start) === 1 => self::WordProcessorHtml,
            default => self::Text,
        };
    }

    /** Whether a file with this extension (lower case) may have such bytes; true for one that is not known. */
    public function suits(string $extension): bool
    {
        return match ($extension) {
            'html', 'htm', 'xhtml' => in_array($this, [self::Text, self::Utf16], true),
            'css', 'js', 'mjs', 'svg', 'txt', 'md', 'json', 'xml', 'csv' => $this === self::Text
                || $this === self::WordProcessorHtml,
            'png' => $this === self::Png,
            'jpg', 'jpeg' => $this === self::Jpeg,
            'gif' => $this === self::Gif,
            'webp' => $this === self::Webp,
            'avif' => $this === self::Avif,
            'bmp' => $this === self::Bmp,
            'pdf' => $this === self::Pdf,
            default => true,
        };
    }

    public function isPicture(): bool
    {
        return in_array(
            $this,
            [self::Png, self::Jpeg, self::Gif, self::Webp, self::Bmp, self::Icon, self::Avif],
            true,
        );
    }

    /** Whether it can be read as a page, well or badly. */
    public function isReadable(): bool
    {
        return in_array($this, [self::Text, self::Utf16, self::WordProcessorHtml], true);
    }

    /** The extension that such a file should have; null when there is no one. */
    public function extension(): ?string
    {
        return match ($this) {
            self::Png => 'png', self::Jpeg => 'jpg', self::Gif => 'gif', self::Webp => 'webp', self::Avif => 'avif',
            self::Bmp => 'bmp', self::Pdf => 'pdf',
            default => null,
        };
    }
}
