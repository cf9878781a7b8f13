<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

use InkedMargin\Core\Style\Colour\Colour;

/** What an element looks like, as far as a check asks for it. */
final readonly class ComputedStyle
{
    /** The properties that are worked out, with their initial values. */
    public const INITIAL = [
        'color' => 'canvastext', 'background-color' => 'transparent', 'background-image' => 'none',
        'font-size' => 'medium',
        'font-weight' => 'normal', 'font-family' => 'serif', 'text-decoration-line' => 'none', 'text-align' => 'start',
        'display' => 'inline', 'width' => 'auto', 'list-style-type' => 'disc', 'float' => 'none',
        'position' => 'static',
        'visibility' => 'visible',
        'margin-top' => '0', 'margin-right' => '0', 'margin-bottom' => '0', 'margin-left' => '0',
        'mix-blend-mode' => 'normal', 'height' => 'auto', 'object-fit' => 'fill', 'aspect-ratio' => 'auto',
    ];

    public const INHERITED = [
        'color', 'font-size', 'font-weight', 'font-family', 'text-align', 'list-style-type', 'visibility',
    ];

    /**
     * @param  Colour|null  $color  null where it cannot be known
     * @param  Colour|null  $background  likewise
     * @param  bool  $hasImage  whether a picture or a gradient is behind it
     * @param  float  $fontSize  px
     * @param  bool  $isPlaced  whether it is taken out of its place, and may lie over anything
     * @param  array<string, string>  $custom  the values of custom properties, by name
     */
    public function __construct(
        public ?Colour $color,
        public ?Colour $background,
        public bool $hasImage,
        public float $fontSize,
        public int $fontWeight,
        public string $fontFamily,
        public string $textDecoration,
        public string $textAlign,
        public string $display,
        public string $width,
        public string $listStyle,
        public string $visibility,
        public bool $isPlaced,
        public array $custom,
    ) {
    }

    /** The style of what is around the page: what its root inherits. */
    public static function initial(): self
    {
        $black = new Colour(0, 0, 0);

        return new self(
            $black,
            new Colour(0, 0, 0, 0),
            false,
            16,
            400,
            'serif',
            'none',
            'start',
            'block',
            'auto',
            'disc',
            'visible',
            false,
            [],
        );
    }

    public function isMonospace(): bool
    {
        return $this->fontFamily === 'monospace';
    }

    /** WCAG 2.2, "large scale": 18 pt, or 14 pt and bold. */
    public function isLarge(): bool
    {
        return $this->fontSize >= 24 || ($this->fontSize >= 14 * 4 / 3 && $this->fontWeight >= 700);
    }
}
