<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\PageNames;

/** A main heading that is the name of another page of the site. Common practice. */
final readonly class TitleNotHeading extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/title-not-heading',
            'Heading of another page',
            Weight::Departure,
            ProofMark::Look,
            'The main heading is the name of another page of the site.',
            'The heading names another page than the title or the file name does. Readers cannot tell '
                .'where they are.',
            Citation::practice(),
            ['brief/headings'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $heading = $page->outline->mainHeading();
            $named = $exam->site->fact(PageNames::class)->pageNamedByHeading($page);
            if ($heading === null || $named === null) {
                continue;
            }
            yield Draft::at($page, $heading->element)
                ->span($heading->span())
                ->says(
                    "The main heading of this page is “{$heading->text}”, which is the name of `$named`; it looks left "
                        .'over from a copied page.',
                )
                ->remedy('Write a heading that says what this page is about.');
        }
    }
}
