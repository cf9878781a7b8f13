<?php

declare(strict_types=1);

namespace App\Printing;

/** The serif of the interface, for pages that are printed: as part of the page, as it loads nothing. */
final readonly class PrintFont
{
    private const BUILT = 'build/assets/literata-latin-wght-normal-*.woff2';

    /** @return string a `@font-face` rule; '' where the interface has not been built */
    public static function rule(): string
    {
        $file = (glob(public_path(self::BUILT)) ?: [])[0] ?? null;

        return $file === null ? '' : sprintf(
            "@font-face{font-family:Literata;font-weight:200 900;src:url(data:font/woff2;base64,%s) format('woff2')}",
            base64_encode((string) file_get_contents($file)),
        );
    }
}
