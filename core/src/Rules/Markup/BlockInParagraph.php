<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A block inside a paragraph, which closes it (HTML Standard, 4.4.1 and 13.1.2.4). */
final readonly class BlockInParagraph extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/content-model', Weight::Fault, ProofMark::Move, 'A block stands inside a paragraph, which ends where the block begins.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->pairs->cutShort as [$element, $endTag]) {
                $by = $page->pairs->tagAt($element->closedAt ?? 0) ?? 'another element';
                yield $this->on(
                    $element,
                    $page->file,
                    $element->startTag ?? Span::at(0),
                    "This {$element->name} ends at {$by}, which cannot stand inside it; the </{$element->name}> further down closes nothing.",
                    "Close the {$element->name} before {$by}, and take the later </{$element->name}> out.",
                    [new Related($page->file, Span::at($element->closedAt ?? 0), "{$by} ends the {$element->name}"), new Related($page->file, Span::at($endTag), "this </{$element->name}> comes too late")],
                );
            }
        }
    }
}
