<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** What a file is for, told from its extension. */
enum FileKind: string
{
    case Page = 'page';
    case Stylesheet = 'stylesheet';
    case Picture = 'picture';
    case Script = 'script';
    case Other = 'other';

    public static function ofPath(string $path): self
    {
        return self::ofExtension(pathinfo($path, PATHINFO_EXTENSION));
    }

    public static function ofExtension(string $extension): self
    {
        return match (strtolower($extension)) {
            'html', 'htm', 'xhtml' => self::Page,
            'css' => self::Stylesheet,
            'png', 'jpg', 'jpeg', 'gif', 'svg', 'webp', 'avif', 'ico', 'bmp' => self::Picture,
            'js', 'mjs' => self::Script,
            default => self::Other,
        };
    }
}
