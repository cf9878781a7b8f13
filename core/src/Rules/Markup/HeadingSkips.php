<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** A heading that skips a level (HTML Standard, 4.3.11). */
final readonly class HeadingSkips extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'markup/heading-skips',
            Weight::Tidy,
            ProofMark::Change,
            'A heading skips a level.',
            ['markup/misnested', 'markup/unclosed-element'],
        );
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
                    yield $this->elementFinding(
                        $page,
                        $element,
                        "`<{$element->name}>` follows `<h$before>`, so a level is skipped.",
                        "Use `<$right>` here, and set its size in the stylesheet.",
                        fold: "$before>$level",
                    );
                }
                $before = $level;
            }
        }
    }
}
