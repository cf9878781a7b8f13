<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;

/** An end tag with nothing open that it could close (HTML Standard, 13.2.6). */
final readonly class StrayEndTag extends SlipRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/stray-end-tag',
            'Extra end tag',
            Weight::Fault,
            ProofMark::TakeOut,
            'An end tag has nothing to close.',
            'An end tag with nothing to close often means that its start tag is missing, misspelt or '
                .'closed already. Browsers ignore it or close something else.',
            Citation::html('End tags', 'syntax.html#end-tags'),
            ['markup/misnested', 'markup/unclosed-element', 'markup/content-model'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->slipFindings($exam);
        foreach ($exam->site->pages as $page) {
            foreach ($page->pairs->stray as $offset => $name) {
                $span = $page->pairs->tagSpan($offset);
                $isVoid = ElementTable::load()->isVoid($name);
                yield Draft::onPage($page, $span, "stray:$name")
                    ->variant($isVoid ? 'void' : '')
                    ->says($isVoid
                        ? "`<$name>` has no end tag, because there is never anything in it."
                        : "`</$name>` closes nothing: no `<$name>` is open here.")
                    ->remedy($isVoid ? "Remove `</$name>`." : "Remove it, or add the `<$name>` that it belongs to.")
                    ->mend(Mend::of(Edit::remove($page->file, $span)))
                    ->about(Subject::place($page->path(), $offset))
                    ->causedBy(Subject::place($page->path(), $offset))
                    ->folded($name);
            }
        }
    }

    protected function wordsFor(Slip $slip): ?Words
    {
        return $slip->kind !== SlipKind::MissingStart ? null : new Words(
            "The start tag `{$slip->meant}` is missing here; its end tag `{$slip->written}` is there.",
            "Type `{$slip->meant}` before this.",
            'no-start',
        );
    }
}
