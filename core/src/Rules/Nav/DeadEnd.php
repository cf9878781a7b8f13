<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\SpecialPage;

/** A page without a link to another page of the site. The endings of a branching story may be such. Common practice. */
final readonly class DeadEnd extends PathRule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'nav/dead-end',
            'Dead end',
            Weight::Departure,
            ProofMark::Insert,
            'A page has no link to another page of the site.',
            'A page without links to the others leaves its readers stuck. They can only go back or '
                .'close the tab.',
            Citation::practice(),
            self::EXPLAINED_BY,
        ));
    }

    public function check(Examination $exam): iterable
    {
        $map = $exam->site->fact(LinkMap::class);
        foreach (self::isStory($exam) ? [] : $map->deadEnds() as $path) {
            // One that nobody gets to is told as such.
            if ($map->linkedFrom($path) > 0 && ! SpecialPage::is($path, $exam->site)) {
                yield $this->pathFinding(
                    $path,
                    $exam->site,
                    'No link on this page leads to another page of the site.',
                    'Add the menu of the other pages, or at least a link to the home page.',
                );
            }
        }
    }
}
