<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Style\Colour\Colour;
use InkedMargin\Core\Style\Syntax\Declaration;

/** A colour of text and one behind it that stand together on pages, and what set them. */
final readonly class ContrastPair
{
    public float $ratio;

    /**
     * @param  Colour  $colour  as it is seen, opaque
     * @param  float  $needed  the least contrast (WCAG 2.2, 1.4.3)
     * @param  Declaration  $cause  of the text's colour, or else of the background
     * @param  list<array{Page, Element}>  $places
     */
    public function __construct(
        public Colour $colour,
        public Colour $background,
        public float $needed,
        public Declaration $cause,
        public bool $isOfText,
        public array $places,
    ) {
        $this->ratio = $colour->contrastTo($background);
    }

    public function isEnough(): bool
    {
        return $this->ratio >= $this->needed;
    }

    /** The colour nearest to the text's own, towards black or white, that can be read. */
    public function nearestEnough(): Colour
    {
        $end = $this->background->luminance() > 0.18 ? 0.0 : 1.0;
        for ($step = 1; $step <= 50; $step++) {
            $part = fn (float $from) => round(255 * ($from + ($end - $from) * $step / 50)) / 255;
            $colour = new Colour($part($this->colour->red), $part($this->colour->green), $part($this->colour->blue));
            if ($colour->contrastTo($this->background) >= $this->needed) {
                return $colour;
            }
        }

        return new Colour($end, $end, $end);
    }
}
