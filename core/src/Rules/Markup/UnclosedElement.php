<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/** An element whose end tag may not be left out, and was, or is that of another element (HTML Standard, 13.1.2.4). */
final readonly class UnclosedElement extends SlipRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/unclosed-element',
            'Missing end tag',
            Weight::Fault,
            ProofMark::Insert,
            'An end tag is missing, has no slash, or is that of another element.',
            'Without an end tag the browser decides where the element ends. All that follows may turn '
                .'bold, become a link or land in the wrong box.',
            Citation::html('End tags', 'syntax.html#end-tags'),
            ['markup/misnested', 'markup/unknown-element'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->slipFindings($exam);
        foreach ($exam->site->pages as $page) {
            foreach ($page->pairs->mistaken as [$element, $offset, $name]) {
                yield $this->mistaken($element, $offset, $name, $page);
            }
            foreach ($page->pairs->unclosed as $element) {
                yield $this->unclosed($element, $page);
            }
        }
    }

    protected function wordsFor(Slip $slip): ?Words
    {
        $name = $slip->inside;

        return match ($slip->kind) {
            SlipKind::MissingSlash => new Words(
                "This should be an end tag, but the slash is missing, so a second `<$name>` begins here.",
                "Type `{$slip->meant}`.",
                'no-slash',
            ),
            SlipKind::SelfClosed => $slip->meant === ''
                ? new Words(
                    "`<$name/>` does not close itself in HTML: everything after it is inside it.",
                    "Type `<$name></$name>`.",
                    'self-closed',
                )
                : new Words(
                    'The slash is in the wrong place, so this is a start tag.',
                    "Type `{$slip->meant}`.",
                    'self-closed',
                ),
            SlipKind::UnclosedContainer => new Words(
                "`<$name>` is never closed.",
                "Type `{$slip->meant}` ".match ($name) {
                    'table' => 'after its last row.',
                    'select' => 'after its last option.',
                    default => 'after its words.',
                },
            ),
            SlipKind::OtherEndTag => new Words(
                "`<$name>` is closed with `{$slip->written}`.",
                "Type `{$slip->meant}`.",
                'other',
            ),
            SlipKind::UnclosedRawText => new Words(
                "`<$name>` is never closed, so the rest of the page is inside it.",
                "Type `{$slip->meant}` where it ends.",
                'raw-text',
            ),
            default => null,
        };
    }

    private function mistaken(Element $element, int $offset, string $name, Page $page): Draft
    {
        $wrong = new Span($offset + 2, $offset + 2 + strlen($name));

        return Draft::at($page, $element)
            ->variant('other')
            ->mark(ProofMark::Change)
            ->says("`<{$element->name}>` is closed with `</$name>`.")
            ->remedy("Type `</{$element->name}>` there, or `<$name>` here.")
            ->related(new Related($page->file, new Span($offset, $wrong->end), "this should be `</{$element->name}>`"))
            ->mend(Mend::of(new Edit($page->file, $wrong, $element->name)))
            ->about(Subject::place($page->path(), $offset));
    }

    private function unclosed(Element $element, Page $page): Draft
    {
        $name = $element->name;
        $closedAt = $element->closedAt ?? strlen($page->file->bytes);
        $by = $page->pairs->tagAt($closedAt);

        return Draft::at($page, $element)
            ->says("`<$name>` is never closed. "
                .($by === null ? 'Everything after it, to the end of the page, is inside it.' : 'Browsers close it '
                    ."at `$by`."))
            ->remedy("Type `</$name>` where it ends.")
            ->related(
                ...($by === null ? [] : [new Related($page->file, Span::at($closedAt), "`<$name>` is closed here")]),
            )
            ->mend($by === null || ! str_starts_with($by, '</')
                ? null
                : Mend::of(Edit::insert($page->file, $closedAt, "</$name>")))
            ->about(Subject::place($page->path(), $closedAt));
    }
}
