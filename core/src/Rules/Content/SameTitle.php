<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
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
        foreach (Titles::repeated($reading->pages) as $title => $repeats) {
            $first = self::firstWith((string) $title, $reading);
            foreach ($repeats as $page) {
                $element = $page->title();
                if ($element === null) {
                    continue;
                }
                yield $this->on(
                    $element,
                    $page->file,
                    $element->span() ?? Span::at(0),
                    "The title “{$page->titleText()}” is also the title of {$first->path()}. It looks left over from a page that was copied.",
                    'Write a title that says what this page is about.',
                    [new Related($first->file, $first->title()?->span() ?? Span::at(0), 'the same title stands here')],
                    $brief->covering($page->path(), Titles::class),
                );
            }
        }
    }

    private static function firstWith(string $title, SiteReading $reading): Page
    {
        foreach ($reading->pages as $page) {
            if (mb_strtolower($page->titleText()) === $title) {
                return $page;
            }
        }

        throw new \LogicException("No page has the title \"$title\" that some page repeats.");
    }
}
