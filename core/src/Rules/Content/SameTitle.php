<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Copy\SharedTitles;

/** Two pages with one title: the slip of whoever copied a page to begin the next. Common practice; WCAG 2.2, 2.4.2. */
final readonly class SameTitle extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'content/same-title',
            Weight::Departure,
            ProofMark::Change,
            'Two pages have the same title.',
            ['content/default-title'],
        );
    }

    public function speaksFor(): array
    {
        return [Titles::class => ['repeated']];
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(SharedTitles::class)->copies as [$page, $owner]) {
            $element = $page->title();
            if ($element === null || $exam->brief->covering($page->path(), Titles::class)?->differ === true) {
                continue;
            }
            yield $this->elementFinding(
                $page,
                $element,
                SharedTitles::message($page, $owner),
                SharedTitles::REMEDY,
                span: $element->span(),
                related: [new Related($owner->file, $owner->title()?->span() ?? $owner->headPlace(), 'the same title')],
            );
        }
    }
}
