<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** Two pages with one title: the slip of whoever copied a page to begin the next. Common practice; WCAG 2.2, 2.4.2. */
final readonly class SameTitle extends Rule
{
    public function __construct()
    {
        parent::__construct('content/same-title', Weight::Departure, ProofMark::Change, 'Two pages have the same title.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $byTitle = [];
        foreach ($reading->pages as $page) {
            // A title that says nothing of any page is told as that.
            if ($page->titleText() !== '' && ! DefaultTitle::isOn($page)) {
                $byTitle[mb_strtolower($page->titleText())][] = $page;
            }
        }
        foreach ($byTitle as $pages) {
            $owner = PageNames::owner($pages[0]->titleText(), $pages);
            foreach ($pages as $page) {
                $element = $page->title();
                if ($page === $owner || $element === null) {
                    continue;
                }
                yield $this->on(
                    $element,
                    $page->file,
                    $element->span() ?? Span::at(0),
                    "The title “{$page->titleText()}” is also the title of {$owner->path()}. It looks left over from a page that was copied.",
                    'Write a title that says what this page is about.',
                    [new Related($owner->file, $owner->title()?->span() ?? Span::at(0), 'the same title stands here')],
                    $brief->covering($page->path(), Titles::class),
                );
            }
        }
    }
}
