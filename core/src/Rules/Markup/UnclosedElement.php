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

/** An element whose end tag may not be left out, and was (HTML Standard, 13.1.2.4). */
final readonly class UnclosedElement extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/unclosed-element', Weight::Fault, ProofMark::Insert, 'An end tag is missing that may not be left out, or is that of another element.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->pairs->mistaken as [$element, $offset, $name]) {
                yield $this->on(
                    $element,
                    $page->file,
                    $element->place(),
                    "The {$element->name} that begins here is closed with </{$name}>.",
                    "Type </{$element->name}> in its place, or <{$name}> here.",
                    [new Related($page->file, new Span($offset, $offset + strlen($name) + 3), "this should be </{$element->name}>")],
                );
            }
            foreach ($page->pairs->unclosed as $element) {
                $closedAt = $element->closedAt ?? strlen($page->file->bytes);
                $by = $page->pairs->tagAt($closedAt);
                yield $this->on(
                    $element,
                    $page->file,
                    $element->place(),
                    "The {$element->name} that begins here is never closed. ".($by === null
                        ? 'It goes on to the end of the page, with everything after it inside.'
                        : "A browser closes it at {$by}."),
                    "Type </{$element->name}> where it ends.",
                    $by === null ? [] : [new Related($page->file, Span::at($closedAt), "{$element->name} is closed here")],
                );
            }
        }
    }
}
