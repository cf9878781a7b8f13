<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

/** Where a rule comes from: a section of a published standard, the brief, or what most people do. */
final readonly class Citation
{
    /** @param  string|null  $url  of the section; null where there is no standard */
    private function __construct(public string $text, public ?string $url)
    {
    }

    public static function standard(string $standard, string $section, string $url): self
    {
        return new self("$standard, $section", $url);
    }

    /** @param  string  $place  page and fragment of the edition in several pages */
    public static function html(string $section, string $place): self
    {
        return self::standard('HTML Standard', $section, "https://html.spec.whatwg.org/multipage/$place");
    }

    /** @param  string  $place  below the address of W3C's technical reports */
    public static function css(string $standard, string $section, string $place): self
    {
        return self::standard($standard, $section, "https://www.w3.org/TR/$place");
    }

    public static function wcag(string $criterion, string $fragment): self
    {
        return self::standard('WCAG 2.2', $criterion, "https://www.w3.org/TR/WCAG22/#$fragment");
    }

    public static function url(string $section, string $fragment): self
    {
        return self::standard('URL Standard', $section, "https://url.spec.whatwg.org/#$fragment");
    }

    public static function rfc(int $number, string $section, string $heading): self
    {
        $url = "https://www.rfc-editor.org/rfc/rfc$number#section-$section";

        return self::standard("RFC $number", "section $section, $heading", $url);
    }

    public static function practice(): self
    {
        return new self('Common practice', null);
    }

    public static function brief(): self
    {
        return new self('The brief', null);
    }
}
