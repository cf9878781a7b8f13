<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\Node;
use InkedMargin\Core\Markup\ParseError as MarkupError;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Source\Span;

/** No doctype, or one that is not written as one (HTML Standard, 13.1.1). */
final readonly class MissingDoctype extends SlipRule
{
    public function __construct()
    {
        parent::__construct(
            'markup/missing-doctype',
            Weight::Departure,
            ProofMark::Insert,
            'A page has no doctype, or one that browsers do not recognise.',
            ['markup/stray-text'],
        );
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->slipFindings($exam);
        foreach ($exam->site->pages as $page) {
            if (array_filter($page->document->children, fn (Node $node) => $node instanceof Doctype) !== []) {
                continue;
            }
            $late = array_values(
                array_filter($page->document->errors, fn (MarkupError $error) => $error->code === 'misplaced-doctype'),
            )[0] ?? null;
            yield $late === null
                ? $this->pageFinding(
                    $page,
                    Span::at(0),
                    'The page has no doctype, so browsers lay it out by the rules of the 1990s.',
                    'Type `<!DOCTYPE html>` on the first line.',
                    'doctype',
                    'none',
                    mend: Mend::of(Edit::insert($page->file, 0, "<!DOCTYPE html>\n")),
                )
                : $this->pageFinding(
                    $page,
                    Span::at($late->offset),
                    'The doctype is not the first thing on the page, so browsers ignore it.',
                    'Move `<!DOCTYPE html>` to the first line.',
                    'doctype',
                    'late',
                    mark: ProofMark::Move,
                    subjects: [Subject::place($page->path(), $late->offset)],
                );
        }
    }

    protected function wordsFor(Slip $slip): ?array
    {
        return $slip->kind !== SlipKind::Doctype ? null : [
            'misspelt',
            "`{$slip->written}` is not a doctype, so browsers lay the page out by the rules of the 1990s.",
            "Type `{$slip->meant}`.",
        ];
    }
}
