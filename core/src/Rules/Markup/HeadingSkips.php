<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Requirement\LostTag;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A heading that skips a level (HTML Standard, 4.3.11). */
final readonly class HeadingSkips extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/heading-skips',
            'Skipped heading level',
            Weight::Tidy,
            ProofMark::Change,
            'A heading skips a level.',
            'Headings are the table of contents of a page. A skipped level sounds as if a chapter '
                .'were missing, above all to people who listen to the page.',
            Citation::html(
                'The h1, h2, h3, h4, h5, and h6 elements',
                'sections.html#the-h1,-h2,-h3,-h4,-h5,-and-h6-elements',
            ),
            ['markup/stray-end-tag'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $before = 0;
            foreach ($page->outline->headings() as $heading) {
                $element = $heading->element;
                $level = $heading->level ?? 0;
                if ($before > 0 && $level > $before + 1 && $element->isWritten()) {
                    $right = 'h'.($before + 1);
                    yield Draft::at($page, $element)
                        ->says("`<{$element->name}>` follows `<h$before>`, so a level is skipped.")
                        ->remedy("Use `<$right>` here, and set its size in the stylesheet.")
                        ->causedBy(...LostTag::causes($page, [$right]))
                        ->folded("$before>$level");
                }
                $before = $level;
            }
        }
    }
}
