<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** An end tag with nothing open that it could close (HTML Standard, 13.2.6). */
final readonly class StrayEndTag extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/stray-end-tag', Weight::Fault, ProofMark::TakeOut, 'An end tag has nothing to close.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->pairs->stray as $offset => $name) {
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    new Span($offset, $offset + strlen($name) + 2),
                    ElementTable::load()->isVoid($name) ? "There is no end tag </{$name}>: {$name} never holds anything." : "</{$name}> closes nothing: no {$name} is open here.",
                    ElementTable::load()->isVoid($name) ? 'Take it out.' : "Take it out, or write the <{$name}> that belongs to it.",
                    "stray:{$name}",
                );
            }
        }
    }
}
