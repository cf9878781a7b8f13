<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/** An attribute twice in one tag: the second is ignored (HTML Standard, 13.2.2, duplicate-attribute). */
final readonly class DuplicateAttribute extends Rule
{
    private const LONGEST_NAME = 200;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/duplicate-attribute',
            'Duplicate attribute',
            Weight::Fault,
            ProofMark::TakeOut,
            'A tag has the same attribute twice.',
            'The browser uses the first one and drops the second without a word.',
            Citation::html('Attributes', 'syntax.html#attributes-2'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            foreach ($page->document->errors as $error) {
                if ($error->code !== 'duplicate-attribute') {
                    continue;
                }
                yield self::draft($page, $error->offset);
            }
        }
    }

    /** @param  int  $end where the name of the attribute ends, in bytes */
    private static function draft(Page $page, int $end): Draft
    {
        $before = substr($page->file->bytes, max(0, $end - self::LONGEST_NAME), min(self::LONGEST_NAME, $end));
        preg_match('/[^\s"\'<>\/=]*$/D', $before, $name);
        $written = strtolower($name[0] ?? '');

        return Draft::onPage(
            $page,
            new Span($end - strlen($name[0] ?? ''), $end),
            "attribute:$written",
        )
            ->says("This tag already has the attribute `$written`; browsers ignore the second one.")
            ->remedy($written === 'class'
                ? 'Put both names into one attribute: `class="one two"`.'
                : "Keep one `$written` and remove the other.")
            ->folded($written);
    }
}
