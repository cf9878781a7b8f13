<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A main heading that is the name of another page of the site. Common practice. */
final readonly class TitleNotHeading extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'content/title-not-heading',
            Weight::Departure,
            ProofMark::Look,
            'The main heading is the name of another page of the site.',
        );
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $heading = $page->outline->mainHeading();
            $named = $exam->site->names()->pageNamedByHeading($page);
            if ($heading === null || $named === null) {
                continue;
            }
            yield $this->elementFinding(
                $page,
                $heading->element,
                "The main heading of this page is “{$heading->text}”, which is the name of `$named`; it looks left "
                    .'over from a copied page.',
                'Write a heading that says what this page is about.',
                span: $heading->span(),
            );
        }
    }
}
