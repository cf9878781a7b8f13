<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A page without a `title` element (HTML Standard, 4.2.1 and 4.2.2). */
final readonly class MissingTitle extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/missing-title', Weight::Fault, ProofMark::Insert, 'A page has no title.');
    }

    public function speaksFor(): array
    {
        return [Titles::class => ['missing']];
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            if ($page->title() !== null) {
                continue;
            }
            yield $this->pageFinding(
                $page,
                $page->headPlace(),
                Titles::MISSING,
                Titles::MISSING_REMEDY,
                'title',
                subjects: [Subject::page($page->path())],
            );
        }
    }
}
