<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\Span;

/** A rule that reports slips of the hand, which were mended before the page was read. */
abstract readonly class SlipRule extends Rule
{
    /**
     * @return array{string, string, string}|null variant, message and remedy for a slip; null when it is not this
     *     rule's
     */
    abstract protected function wordsFor(Slip $slip): ?array;

    /** @return iterable<Finding> */
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

    /** @param  array{string, string, string}  $words */
    private function slipFinding(Slip $slip, Page $page, array $words): Finding
    {
        [$variant, $message, $remedy] = $words;

        return new Finding(
            $this->id,
            $variant,
            $this->weight,
            $this->mark,
            $page->path(),
            $slip->source,
            $slip->span,
            $message,
            $remedy,
            "{$slip->kind->value}:{$slip->inside}:{$slip->written}",
            mend: new Mend(array_map(fn (Change $change) => self::edit($slip, $change), $slip->changes)),
            subjects: [Subject::place($page->path(), $slip->span->start)],
            causes: [Subject::page($page->path())],
            fold: in_array(
                $slip->kind,
                [SlipKind::MisspeltAttribute, SlipKind::MisspeltValue, SlipKind::CurlyQuotes],
                true,
            )
                ? "{$slip->kind->value}:{$slip->written}:{$slip->meant}"
                : '',
        );
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
