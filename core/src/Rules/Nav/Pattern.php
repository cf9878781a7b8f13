<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Comparison\PatternShortfall;
use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;

/** The pattern that the brief names, or that is plain to see, broken at one link. Common practice. */
final readonly class Pattern extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'nav/pattern',
            'Broken navigation pattern',
            Weight::Departure,
            ProofMark::Change,
            'The pattern in which the pages link is broken: a link is missing, wrong, swapped or extra.',
            'The pages are linked by a plan, such as a chain or a ring, and readers follow it. One '
                .'wrong or missing link takes them off the path.',
            Citation::practice(),
            [
                'link/missing-file', 'link/letter-case', 'link/wrong-folder', 'link/outside-site',
                'link/local-path', 'link/empty', 'link/bad-address', 'link/bad-scheme', 'link/missing-scheme',
                'link/folder-without-index', 'link/label-mismatch', 'nav/menu-differs', 'nav/missing-menu',
                'file/missing', 'file/name', 'nav/unreachable-page', 'markup/stray-end-tag',
            ],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->expectations()->patterns as [$match, $requirement]) {
            foreach ($requirement === null ? $match->violations : [] as $violation) {
                yield $this->drafted(PatternShortfall::of($violation, $match, $exam->site));
            }
        }
    }
}
