<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** A main heading by which another page of the site is called. Common practice. */
final readonly class TitleNotHeading extends Rule
{
    public function __construct()
    {
        parent::__construct('content/title-not-heading', Weight::Departure, ProofMark::Look, 'The main heading names another page of the site than the title or the file name does.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $heading = $page->outline->mainHeading();
            $named = $reading->names()->misled($page);
            if ($heading !== null && $named !== null) {
                yield $this->on(
                    $heading->element,
                    $page->file,
                    $heading->span(),
                    "The heading of this page says “{$heading->text}”, and the page called so is {$named}. It looks left over from a page that was copied.",
                    'Write a heading that says what this page is about.',
                );
            }
        }
    }
}
