<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Consistency\SharedTitles;

/** Two pages with one title: the slip of whoever copied a page to begin the next. Common practice; WCAG 2.2, 2.4.2. */
final readonly class SameTitle extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/same-title',
            'Repeated page title',
            Weight::Departure,
            ProofMark::Change,
            'Two pages have the same title.',
            'Two pages with one title cannot be told apart in tabs, bookmarks and search results.',
            Citation::wcag('2.4.2 Page Titled', 'page-titled'),
            ['content/default-title'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(SharedTitles::class)->copies as [$page, $owner]) {
            $element = $page->title();
            if ($element === null || $exam->brief->covering($page->path(), Titles::class)?->differ === true) {
                continue;
            }
            yield Draft::at($page, $element)
                ->span($element->span())
                ->says(SharedTitles::message($page, $owner))
                ->remedy(SharedTitles::REMEDY)
                ->related(new Related($owner->file, $owner->title()?->span() ?? $owner->headPlace(), 'the same title'));
        }
    }
}
