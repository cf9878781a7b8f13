<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A title that does not have the form the brief gives. */
final readonly class TitleForm extends Rule
{
    public function __construct()
    {
        parent::__construct('brief/titles', Weight::Departure, ProofMark::Change, 'A title does not have the form that the brief asks for.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($brief->ofKind(Titles::class) as $requirement) {
            foreach ($requirement->terms->pages->of($reading) as $page) {
                $title = $page->title();
                if ($title === null || $requirement->fits($page)) {
                    continue;
                }
                yield $this->on(
                    $title,
                    $page->file,
                    $title->span() ?? Span::at(0),
                    $page->titleText() === '' ? 'The title is empty.' : "The title “{$page->titleText()}” does not have the form “{$requirement->pattern}”.",
                    "Write it as “{$requirement->pattern}”, with this page’s own words for the star.",
                    for: $requirement,
                );
            }
        }
    }
}
