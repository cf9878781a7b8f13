<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Source\Utf8;

/**
 * The encoding a page is read in: UTF-8, unless its first bytes declare another that is known here.
 *
 * Source: HTML Standard, 13.2.3.2 (BOM, then the prescan of the first 1024 bytes for a `meta`, then the default; UTF-16 in a
 * `meta` means UTF-8), and the labels of the Encoding Standard for the single-byte encodings that students' editors offer.
 */
final readonly class Encoding
{
    private const PRESCAN_BYTES = 1024;

    /** label => the name that mbstring has for it */
    private const LABELS = [
        'windows-1252' => 'Windows-1252', 'cp1252' => 'Windows-1252', 'iso-8859-1' => 'Windows-1252', 'iso8859-1' => 'Windows-1252',
        'latin1' => 'Windows-1252', 'l1' => 'Windows-1252', 'ascii' => 'Windows-1252', 'us-ascii' => 'Windows-1252',
        'iso-8859-2' => 'ISO-8859-2', 'latin2' => 'ISO-8859-2', 'iso-8859-15' => 'ISO-8859-15', 'latin9' => 'ISO-8859-15',
        'windows-1251' => 'Windows-1251', 'cp1251' => 'Windows-1251', 'koi8-r' => 'KOI8-R', 'windows-1254' => 'Windows-1254', 'iso-8859-9' => 'Windows-1254',
    ];

    /** @param  Span|null  $declaration  where another encoding than UTF-8 is declared */
    private function __construct(public string $name, public ?string $declared = null, public ?Span $declaration = null)
    {
    }

    public static function of(string $bytes): self
    {
        $declares = '~<meta\s[^>]*?charset\s*=\s*["\']?\s*([a-z0-9_-]+)~i';
        if (str_starts_with($bytes, "\xEF\xBB\xBF") || preg_match($declares, substr($bytes, 0, self::PRESCAN_BYTES), $match, PREG_OFFSET_CAPTURE) !== 1) {
            return new self('UTF-8');
        }
        [$label, $at] = $match[1];
        if (in_array(strtolower($label), ['utf-8', 'utf8', 'unicode-1-1-utf-8'], true)) {
            return new self('UTF-8');
        }

        return new self(self::LABELS[strtolower($label)] ?? 'UTF-8', $label, new Span($at, $at + strlen($label)));
    }

    /** Makes UTF-8 of a piece of the page; what cannot be read becomes U+FFFD. */
    public function decode(string $bytes): string
    {
        return Utf8::convert($bytes, $this->name);
    }
}
