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
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\MarkupError;
use InkedMargin\Core\Markup\Node;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/** No doctype, or one that is not written as one (HTML Standard, 13.1.1). */
final readonly class MissingDoctype extends SlipRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-doctype',
            'Missing doctype',
            Weight::Departure,
            ProofMark::Insert,
            'A page has no doctype, or one that browsers do not recognise.',
            'Without `<!DOCTYPE html>` browsers go into quirks mode: they copy the mistakes of very '
                .'old browsers, and sizes and spacing come out differently.',
            Citation::html('The DOCTYPE', 'syntax.html#the-doctype'),
            ['markup/stray-text'],
        ));
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
            yield self::draft($page, $late);
        }
    }

    private static function draft(Page $page, ?MarkupError $late): Draft
    {
        return $late === null
            ? Draft::onPage($page, Span::at(0), 'doctype')
                ->variant('none')
                ->says('The page has no doctype, so browsers lay it out by the rules of the 1990s.')
                ->remedy('Type `<!DOCTYPE html>` on the first line.')
                ->mend(Mend::of(Edit::insert($page->file, 0, "<!DOCTYPE html>\n")))
            : Draft::onPage($page, Span::at($late->offset), 'doctype')
                ->variant('late')
                ->mark(ProofMark::Move)
                ->says('The doctype is not the first thing on the page, so browsers ignore it.')
                ->remedy('Move `<!DOCTYPE html>` to the first line.')
                ->about(Subject::place($page->path(), $late->offset));
    }

    protected function wordsFor(Slip $slip): ?Words
    {
        return $slip->kind !== SlipKind::Doctype ? null : new Words(
            "`{$slip->written}` is not a doctype, so browsers lay the page out by the rules of the 1990s.",
            "Type `{$slip->meant}`.",
            'misspelt',
        );
    }
}
