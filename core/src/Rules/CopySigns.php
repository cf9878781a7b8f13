<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Pictures;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Site\Consistency\CopiedPages;
use InkedMargin\Core\Site\Consistency\Leftover;
use InkedMargin\Core\Site\Consistency\LeftoverKind;

/**
 * What the rules tell of pages that began as copies: one finding for each page and the page that it is a copy of. What
 * a requirement of the brief is about is told there.
 */
final class CopySigns
{
    /**
     * @param  list<LeftoverKind>  $kinds  that a rule tells, where nothing plainer is left over
     * @return iterable<array{Leftover, list<Leftover>}> each with what else is left over
     */
    public static function in(Examination $exam, array $kinds): iterable
    {
        foreach ($exam->site->fact(CopiedPages::class)->pairs as $leftovers) {
            $told = self::told($leftovers, $exam);
            if ($told !== [] && in_array($told[0]->kind, $kinds, true)) {
                yield [$told[0], array_slice($told, 1)];
            }
        }
    }

    /**
     * @param  non-empty-list<Leftover>  $leftovers  of one page
     * @return list<Leftover>
     */
    private static function told(array $leftovers, Examination $exam): array
    {
        $page = $leftovers[0]->page->path();
        $hasTitles = $leftovers[0]->kind === LeftoverKind::Title
            && $exam->brief->covering($page, Titles::class)?->differ === true;
        $hasPictures = $exam->brief->covering($page, Pictures::class) !== null;

        return array_values(array_filter(
            $leftovers,
            fn (Leftover $one) => ! ($one->kind === LeftoverKind::Picture ? $hasPictures : $hasTitles),
        ));
    }

    /** @param  list<Leftover>  $others  what else is left over */
    public static function draft(Leftover $sign, array $others, string $message, string $remedy): Draft
    {
        return Draft::at($sign->page, $sign->element)
            ->span($sign->span)
            ->says($message.CopiedPages::sentence($others))
            ->remedy($remedy.CopiedPages::remedy($others))
            ->related(Related::original($sign), ...Related::leftovers($others))
            ->causedBy(Subject::element($sign->page->path(), $sign->element));
    }
}
