<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Colour;

/** A colour in sRGB: red, green and blue from 0 to 1, and how opaque it is. */
final readonly class Colour
{
    public function __construct(
        public float $red,
        public float $green,
        public float $blue,
        public float $alpha = 1.0,
    ) {
    }

    /** Of a number such as 0xff8000. */
    public static function ofNumber(int $rgb): self
    {
        return new self(($rgb >> 16 & 255) / 255, ($rgb >> 8 & 255) / 255, ($rgb & 255) / 255);
    }

    public function isOpaque(): bool
    {
        return $this->alpha >= 1.0;
    }

    /** What is seen of it over another (CSS Compositing 1, 5.1 "simple alpha compositing"). */
    public function over(self $below): self
    {
        $alpha = $this->alpha + $below->alpha * (1 - $this->alpha);
        if ($alpha <= 0.0) {
            return new self(0, 0, 0, 0);
        }
        $rest = $below->alpha * (1 - $this->alpha);
        $mix = fn (float $mine, float $its) => ($mine * $this->alpha + $its * $rest) / $alpha;

        return new self(
            $mix($this->red, $below->red),
            $mix($this->green, $below->green),
            $mix($this->blue, $below->blue),
            $alpha,
        );
    }

    /** WCAG 2.2, "relative luminance", with the threshold of sRGB itself, as its note of 2021 has it. */
    public function luminance(): float
    {
        $linear = fn (float $part) => $part <= 0.04045 ? $part / 12.92 : (($part + 0.055) / 1.055) ** 2.4;

        return 0.2126 * $linear($this->red) + 0.7152 * $linear($this->green) + 0.0722 * $linear($this->blue);
    }

    /** WCAG 2.2, "contrast ratio", from 1 to 21. Both colours are taken as opaque. */
    public function contrastTo(self $other): float
    {
        [$light, $dark] = [$this->luminance(), $other->luminance()];

        return (max($light, $dark) + 0.05) / (min($light, $dark) + 0.05);
    }

    /** As it is typed: `#rrggbb`, with two digits more where it is not opaque. */
    public function hex(): string
    {
        $byte = fn (float $part) => sprintf('%02x', (int) round(255 * $part));

        return '#'.$byte($this->red).$byte($this->green).$byte($this->blue)
            .($this->isOpaque() ? '' : $byte($this->alpha));
    }
}
