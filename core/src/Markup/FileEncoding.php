<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Utf8;
use UConverter;

/**
 * The encoding a page is read in: what its byte order mark says, or a `meta` in its first bytes, or UTF-8.
 *
 * Source: HTML Standard, 13.2.3.2 "Determining the character encoding"; the default is ours, as the standard wants
 * every page to be UTF-8 (4.2.5.4). Names and decoding: Encoding Standard.
 */
final readonly class FileEncoding
{
    private const MARKS = ["\xEF\xBB\xBF" => 'UTF-8', "\xFE\xFF" => 'UTF-16BE', "\xFF\xFE" => 'UTF-16LE'];

    /** The names of ICU's converters, where the standard's name is not one of them or stands for several. */
    private const CONVERTERS = [
        'windows-1250' => 'ibm-5346_P100-1998', 'windows-1251' => 'ibm-5347_P100-1998',
        'windows-1252' => 'ibm-5348_P100-1997',
        'windows-1253' => 'ibm-5349_P100-1998', 'windows-1254' => 'ibm-5350_P100-1998',
        'windows-1255' => 'ibm-9447_P100-2002',
        'windows-1256' => 'ibm-9448_X100-2005', 'windows-1257' => 'ibm-9449_P100-2002',
        'windows-1258' => 'ibm-5354_P100-1998',
        'GBK' => 'gb18030', 'Big5' => 'ibm-1375_P100-2008', 'EUC-KR' => 'windows-949-2000',
        'Shift_JIS' => 'windows-31j',
        'ISO-8859-8-I' => 'ISO-8859-8',
    ];

    /** @param  EncodingDeclaration|null  $declaration  that of the page's first bytes, whether it counts or not */
    private function __construct(public string $name, public bool $isMarked, public ?EncodingDeclaration $declaration)
    {
    }

    public static function of(string $bytes): self
    {
        foreach (self::MARKS as $mark => $name) {
            if (str_starts_with($bytes, $mark)) {
                return new self(
                    $name,
                    true,
                    Prescan::declaration(Utf8::convert(substr($bytes, 0, 2 * Prescan::BYTES), $name)),
                );
            }
        }
        $declaration = Prescan::declaration($bytes);

        return new self($declaration->encoding ?? 'UTF-8', false, $declaration);
    }

    /**
     * Of a stylesheet (CSS Syntax Level 3, section 3.2): its byte order mark, or `@charset` at its very beginning, or
     * UTF-8.
     */
    public static function ofSheet(string $bytes): self
    {
        foreach (self::MARKS as $mark => $name) {
            if (str_starts_with($bytes, $mark)) {
                return new self($name, true, null);
            }
        }
        preg_match('/\A@charset "([^"]{1,100})";/', $bytes, $label);
        $name = self::named($label[1] ?? '') ?? 'UTF-8';

        // It was read as ASCII, so that it cannot be UTF-16.
        return new self(str_starts_with($name, 'UTF-16') ? 'UTF-8' : $name, false, null);
    }

    /**
     * The encoding that a label stands for; null when it stands for none (Encoding Standard, 4.2 "get an encoding").
     */
    public static function named(string $label): ?string
    {
        /** @var array<string, string>|null $names */
        static $names = null;
        $names ??= require __DIR__.'/../../data/encodings.php';

        return $names[strtolower(trim($label, " \t\n\f\r"))] ?? null;
    }

    public function isUtf8(): bool
    {
        return $this->name === 'UTF-8';
    }

    /**
     * Whether the byte order mark and the `meta` name two encodings. A page in UTF-16 cannot say so in a `meta`
     * (4.2.5.4).
     */
    public function isContradicted(): bool
    {
        return $this->isMarked && $this->declaration !== null && $this->declaration->encoding !== $this->name;
    }

    /** The whole page as UTF-8; what cannot be read becomes U+FFFD. */
    public function decode(string $bytes): string
    {
        return match ($this->name) {
            'UTF-8', 'UTF-16BE', 'UTF-16LE', 'ISO-8859-16', 'ISO-2022-JP' => Utf8::convert($bytes, $this->name),
            // Encoding Standard, 14.1 and 14.5
            'replacement' => $bytes === '' ? '' : "\u{FFFD}",
            'x-user-defined' => preg_replace_callback(
                '/[\x80-\xff]/',
                fn (array $byte) => mb_chr(0xF700 + ord($byte[0]), 'UTF-8'),
                $bytes,
            ) ?? '',
            default => UConverter::transcode($bytes, 'UTF-8', self::CONVERTERS[$this->name] ?? $this->name),
        };
    }
}
