<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\English;
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
     * @param  LinkState|null  $state  in which links alone stand so; null for how the page is before anybody touches it
     */
    public function __construct(
        public Colour $colour,
        public Colour $background,
        public float $needed,
        public Declaration $cause,
        public bool $isOfText,
        public array $places,
        public ?LinkState $state = null,
    ) {
        $this->ratio = $colour->contrastTo($background);
    }

    public function isEnough(): bool
    {
        return $this->ratio >= $this->needed;
    }

    /** The least contrast at a level of WCAG: at the highest, that of large text is the one of other text below it. */
    public function neededFor(string $level): float
    {
        return $level === 'AAA' ? ($this->needed < 4.5 ? 4.5 : 7.0) : $this->needed;
    }

    public function sentence(string $level = 'AA'): string
    {
        $ratio = floor(100 * $this->ratio) / 100;

        $colours = "in `{$this->colour->hex()}` on `{$this->background->hex()}`";
        $subject = $this->state === null ? "Text $colours" : "{$this->state->subject()}, $colours,";

        return "$subject has a contrast of $ratio:1, and needs {$this->neededFor($level)}:1 to be easy to read ("
            .English::count(count($this->places), 'element').').';
    }

    public function remedy(string $level = 'AA'): string
    {
        $better = $this->nearestEnough($level)->hex();

        return $this->isOfText
            ? 'Type a '.($this->background->luminance() > 0.18 ? 'darker' : 'lighter')." colour, such as `$better`."
            : "Give the text a colour of its own, such as `$better`, or change this background.";
    }

    /** The colour nearest to the text's own, towards black or white, that can be read. */
    public function nearestEnough(string $level = 'AA'): Colour
    {
        $end = $this->background->luminance() > 0.18 ? 0.0 : 1.0;
        for ($step = 1; $step <= 50; $step++) {
            $part = fn (float $from) => round(255 * ($from + ($end - $from) * $step / 50)) / 255;
            $colour = new Colour($part($this->colour->red), $part($this->colour->green), $part($this->colour->blue));
            if ($colour->contrastTo($this->background) >= $this->neededFor($level)) {
                return $colour;
            }
        }

        return new Colour($end, $end, $end);
    }
}
