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

/** Tags that cross: an element is closed by the end of another before its own end tag comes (HTML Standard, 13.1.2.3). */
final readonly class Misnested extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/misnested', Weight::Fault, ProofMark::Move, 'Tags cross each other.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->pairs->crossed as [$element, $endTag]) {
                $by = $page->pairs->tagAt($element->closedAt ?? 0) ?? 'the end of another element';
                yield $this->on(
                    $element,
                    $page->file,
                    $element->place(),
                    $element->closedAt === $endTag
                        ? "The {$element->name} that begins here ends inside another element, which began in it."
                        : "The {$element->name} that begins here crosses another element: {$by} comes before </{$element->name}>.",
                    'What is opened last is closed first. Put the end tags in that order.',
                    $element->closedAt === $endTag ? [new Related($page->file, Span::at($endTag), "</{$element->name}> stands here")] : [new Related($page->file, Span::at($element->closedAt ?? 0), "{$by} stands here"), new Related($page->file, Span::at($endTag), "</{$element->name}> stands here")],
                );
            }
        }
    }
}
