<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\Span;

/** A rule that reports slips of the hand, which were mended before the page was read. */
abstract readonly class SlipRule extends Rule
{
    /** Slips that are made again wherever the same thing is written. */
    private const REPEATED = [SlipKind::MisspeltAttribute, SlipKind::MisspeltValue, SlipKind::CurlyQuotes];

    /** Null for a slip that is not this rule's. */
    abstract protected function wordsFor(Slip $slip): ?Words;

    /** @return iterable<Draft> */
    final protected function slipFindings(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            foreach ($page->slips as $slip) {
                $words = $this->wordsFor($slip);
                if ($words !== null) {
                    yield $this->slipFinding($slip, $page, $words);
                }
            }
        }
    }

    private function slipFinding(Slip $slip, Page $page, Words $words): Draft
    {

        $isRepeated = in_array($slip->kind, self::REPEATED, true);

        return Draft::in(
            $page->path(),
            $slip->source,
            $slip->span,
            "{$slip->kind->value}:{$slip->inside}:{$slip->written}",
        )
            ->words($words)
            ->mend(new Mend(array_map(fn (Change $change) => self::edit($slip, $change), $slip->changes)))
            ->about(Subject::place($page->path(), $slip->span->start))
            ->folded($isRepeated ? "{$slip->kind->value}:{$slip->inside}:{$slip->written}:{$slip->meant}" : '');
    }

    private static function edit(Slip $slip, Change $change): Edit
    {
        $moved = $change->moved ?? Span::at(0);

        return new Edit(
            $slip->source,
            $change->span,
            $change->text.substr($slip->source->bytes, $moved->start, $moved->length()),
        );
    }
}
