<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** An `img` without an `alt` attribute (HTML Standard, 4.8.4.4; WCAG 2.2, 1.1.1). */
final readonly class MissingAlt extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/missing-alt', Weight::Fault, ProofMark::Insert, 'A picture has no alt attribute.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->document->elements() as $element) {
                if ($element->name === 'img' && $element->attribute('alt') === null) {
                    $picture = basename($element->value('src') ?? '');
                    yield $this->on(
                        $element,
                        $page->file,
                        $element->startTag ?? Span::at(0),
                        ($picture === '' ? 'This picture' : "The picture {$picture}").' has no alt text: whoever cannot see it learns nothing of it.',
                        'Type alt="…" inside the img tag, with what the picture shows; alt="" if it is only decoration.',
                    );
                }
            }
        }
    }
}
