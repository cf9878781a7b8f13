<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;

/**
 * A title that says nothing about the page: an editor's, or the file's name. Common practice; WCAG 2.2, failure F25.
 */
final readonly class DefaultTitle extends Rule
{
    private const DEFAULTS = '/^(?:document|untitled(?: document| page| \d+)?|new (?:page|document|file)|my (?:page|web ?page|web ?site|site)|(?:page |web ?page |site )?title(?: here| goes here)?|insert title here|your title(?: here)?|web ?page|web ?site|page \d*|index|test|hello world)\.?$/u';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/default-title',
            'Default page title',
            Weight::Departure,
            ProofMark::Change,
            'A title is the one that an editor put there.',
            '“Document” or “Untitled” tells nobody what the page is about, in a tab, in a bookmark or '
                .'in a search result.',
            Citation::wcag('2.4.2 Page Titled', 'page-titled'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $title = $page->title();
            if ($title !== null && self::isOn($page)) {
                yield Draft::at($page, $title)
                    ->span($title->span())
                    ->says("The title “{$page->titleText()}” says nothing about this page.")
                    ->remedy('Write a title that names the site and this page.');
            }
        }
    }

    private static function isOn(Page $page): bool
    {
        $text = mb_strtolower($page->titleText());

        return $text !== ''
            && (preg_match(self::DEFAULTS, $text) === 1 || $text === mb_strtolower($page->file->name()));
    }
}
