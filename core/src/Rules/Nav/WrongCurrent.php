<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Menu\CurrentMarks;
use InkedMargin\Core\Site\Menu\MisplacedMark;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/** A menu that was copied with the mark of the page that it was copied from. */
final readonly class WrongCurrent extends Rule implements ComparesFiles
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'nav/wrong-current',
            'Wrong current page',
            Weight::Departure,
            ProofMark::Move,
            'The menu marks another page as the one that is being read.',
            'The mark tells readers where they are. On the wrong entry it tells them that they are somewhere else.',
            Citation::standard('WAI-ARIA 1.2', '6.6 aria-current', 'https://www.w3.org/TR/wai-aria-1.2/#aria-current'),
            ['link/label-mismatch', 'nav/menu-differs', 'link/letter-case', 'link/missing-file', 'link/wrong-folder'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(CurrentMarks::class)->misplaced as $mark) {
            $page = $exam->site->page($mark->menu->page);
            if ($page !== null) {
                yield self::draft($mark, $page);
            }
        }
    }

    private static function draft(MisplacedMark $mark, Page $page): Draft
    {
        $attribute = $mark->entry->element->attribute('aria-current');
        $reference = $mark->entry->reference;
        $own = $mark->own->label;

        return Draft::at($page, $mark->entry->element)
            ->variant($mark->isOwnMarked ? 'two' : 'other')
            ->span($attribute?->span())
            ->anchored('@current')
            ->says($mark->isOwnMarked
                ? "The menu marks “{$mark->entry->label}” as the current page, besides “{$own}”."
                : "The menu marks “{$mark->entry->label}” as the current page, but this page is “{$own}”.")
            ->remedy($mark->isOwnMarked
                ? "Leave the mark only at “{$own}”."
                : "Move the mark to “{$own}”.")
            ->mend($attribute === null ? null : self::mend($mark, $page, $attribute))
            ->causedBy(...($reference === null ? [] : [Subject::place($page->path(), $reference->span->start)]));
    }

    /** Takes `aria-current` off the one entry, and puts it at the other where it is a link that has none. */
    private static function mend(MisplacedMark $mark, Page $page, Attribute $attribute): ?Mend
    {
        $span = $attribute->span();
        $before = rtrim(substr($page->file->bytes, 0, $span->start));
        $quote = substr($page->file->bytes, $span->end, 1);
        $end = $span->end + ($quote === '"' || $quote === "'" ? 1 : 0);
        $off = Edit::remove($page->file, new Span(strlen($before), $end));
        $tag = $mark->own->element->startTag();
        if ($mark->isOwnMarked) {
            return Mend::of($off);
        }
        if ($tag === null || $mark->own->element->name !== 'a') {
            return null;
        }

        return Mend::of($off, Edit::insert($page->file, $tag->start + strlen('<a'), ' aria-current="page"'));
    }
}
