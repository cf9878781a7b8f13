<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;

/** An element that the HTML Standard does not have (section 4), or an end tag with a misspelt name. */
final readonly class UnknownElement extends SlipRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/unknown-element',
            'Unknown element',
            Weight::Fault,
            ProofMark::Change,
            'An element does not exist, or its name is misspelt.',
            'Browsers do not know this element. It gets no meaning and no style of its own, and '
                .'screen readers cannot tell what it is.',
            Citation::html('Elements', 'indices.html#elements-3'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->slipFindings($exam);
        $table = ElementTable::load();
        foreach ($exam->site->pages as $page) {
            foreach (array_filter($page->names(), fn (string $name) => ! $table->knows($name)) as $name) {
                foreach ($page->named($name) as $element) {
                    yield Draft::at($page, $element)
                        ->says("There is no element `<$name>` in HTML.")
                        ->remedy($element->endTag() === null
                            ? "If it is meant as text, type `&lt;$name>`. Otherwise use an element such as `<section>` "
                                .'or `<p>`.'
                            : 'Use an element that says what this is, such as `<section>` or `<p>`.')
                        ->folded($name);
                }
            }
        }
    }

    protected function wordsFor(Slip $slip): ?Words
    {
        return match ($slip->kind) {
            SlipKind::MisspeltElement => new Words(
                "There is no element `<{$slip->written}>` in HTML.",
                "Type `<{$slip->meant}>`"
                    .(ElementTable::load()->isVoid($slip->meant) ? '.' : ", and `</{$slip->meant}>` at its end."),
                'misspelt',
            ),
            SlipKind::MisspeltEndTag => new Words(
                "`{$slip->written}` does not close `<{$slip->inside}>`, because its name is misspelt.",
                "Type `{$slip->meant}`.",
                'end-tag',
            ),
            default => null,
        };
    }
}
