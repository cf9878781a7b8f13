<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/** The same stylesheet linked again on one page. Common practice. */
final readonly class LinkedTwice extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/linked-twice',
            'Stylesheet linked twice',
            Weight::Tidy,
            ProofMark::TakeOut,
            'The same stylesheet is linked twice on a page.',
            'The second link adds nothing. If you change one of them later, it is easy to forget the '
                .'other.',
            Citation::practice(),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $first = [];
            foreach ($page->stylesheets() as $reference) {
                $link = $reference->element;
                $tag = $link?->startTag();
                if ($link === null || $tag === null || $reference->target->found === null) {
                    continue;
                }
                $key = $reference->target->found.' '.strtolower($link->value('media') ?? '').' '.$link->value('title');
                if (! isset($first[$key])) {
                    $first[$key] = $tag;

                    continue;
                }
                yield self::draft($page, $link, $tag, $first[$key], $reference->target->found);
            }
        }
    }

    private static function draft(Page $page, Element $link, Span $tag, Span $first, string $sheet): Draft
    {
        $end = $tag->end + strspn($page->file->bytes, " \t", $tag->end);
        $end += substr($page->file->bytes, $end, 1) === "\n" ? 1 : 0;

        return Draft::at($page, $link)
            ->says("`$sheet` is linked on this page already.")
            ->remedy('Remove this `<link>`.')
            ->related(new Related($page->file, $first, 'linked here first'))
            ->mend(Mend::of(new Edit($page->file, new Span($tag->start, $end), '')))
            ->folded("linked $sheet");
    }
}
