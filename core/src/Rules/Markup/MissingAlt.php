<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Pictures;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** An `img` without an `alt` attribute (HTML Standard, 4.8.4.4; WCAG 2.2, 1.1.1). */
final readonly class MissingAlt extends Rule
{
    /** A link is looked for so far up, and gone through so far: what is larger is no link around a picture. */
    private const MOST_STEPS = 200;

    public function __construct()
    {
        parent::__construct('markup/missing-alt', Weight::Fault, ProofMark::Insert, 'A picture has no alt attribute.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $asked = $brief->covering($page->path(), Pictures::class);
            $wanted = $asked?->withAlt === true ? $asked : null;
            foreach ($page->elements as $element) {
                if ($element->name === 'img' && self::isOnlyContentOfLink($element)) {
                    yield $this->on(
                        $element,
                        $page->file,
                        $element->attribute('alt')?->span() ?? $element->place(),
                        'This picture is all that its link holds, and its alt text is empty: the link has no name.',
                        'Type where the link leads, between the quotation marks.',
                    );
                } elseif ($element->name === 'img' && $wanted !== null && trim($element->value('alt') ?? '-') === '') {
                    yield $this->on(
                        $element,
                        $page->file,
                        $element->attribute('alt')?->span() ?? $element->place(),
                        'The alt text of this picture is empty, and the brief asks for words.',
                        'Type what the picture shows, between the quotation marks.',
                        for: $wanted,
                    );
                } elseif ($element->name === 'img' && $element->attribute('alt') === null) {
                    $picture = basename($element->value('src') ?? '');
                    yield $this->on(
                        $element,
                        $page->file,
                        $element->place(),
                        ($picture === '' ? 'This picture' : "The picture {$picture}").' has no alt text: whoever cannot see it learns nothing of it.',
                        'Type alt="…" inside the img tag, with what the picture shows; alt="" if it is only decoration.',
                        for: $wanted,
                    );
                }
            }
        }
    }

    /** With an empty alt, in a link without any words. */
    private static function isOnlyContentOfLink(Element $image): bool
    {
        if ($image->value('alt') !== '') {
            return false;
        }
        $steps = self::MOST_STEPS;
        for ($above = $image->parent; $above instanceof Element && $above->name !== 'a' && $steps > 0; $above = $above->parent) {
            $steps--;
        }
        if (! $above instanceof Element || $above->name !== 'a' || $above->value('aria-label') !== null) {
            return false;
        }
        $steps = self::MOST_STEPS;
        foreach (Walk::nodes($above) as $inside) {
            $speaks = $inside instanceof Text ? ! $inside->isBlank() : $inside instanceof Element && trim($inside->value('alt') ?? '') !== '';
            if ($speaks || --$steps <= 0) {
                return false;
            }
        }

        return true;
    }
}
