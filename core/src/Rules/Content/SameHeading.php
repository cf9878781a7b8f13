<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Map\PageNames;
use InkedMargin\Core\Site\SiteReading;

/** A main heading that another page has, where most pages have one of their own: left over from the page that was copied. Common practice. */
final readonly class SameHeading extends Rule
{
    public function __construct()
    {
        parent::__construct('content/same-heading', Weight::Departure, ProofMark::Change, 'Two pages have the same main heading.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $byHeading = [];
        foreach ($reading->pages as $page) {
            $heading = $page->outline->mainHeading();
            if ($heading !== null && $heading->text !== '') {
                $byHeading[mb_strtolower($heading->text)][] = [$page, $heading];
            }
        }
        foreach ($byHeading as $same) {
            // A heading that many pages share names the site.
            if (count($same) < 2 || 2 * count($same) > count($reading->pages) || 2 * count($byHeading) <= count($reading->pages)) {
                continue;
            }
            $owner = PageNames::owner($same[0][1]->text, array_column($same, 0));
            foreach ($same as [$page, $heading]) {
                if ($page === $owner || $reading->names()->misled($page) !== null) {
                    continue;
                }
                $original = $owner->outline->mainHeading();
                yield $this->on(
                    $heading->element,
                    $page->file,
                    $heading->span(),
                    "“{$heading->text}” is also the main heading of {$owner->path()}. It looks left over from a page that was copied.",
                    'Write a heading that says what this page is about.',
                    $original === null ? [] : [new Related($owner->file, $original->span(), 'the same heading stands here')],
                );
            }
        }
    }
}
