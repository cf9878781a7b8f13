<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/**
 * What a requirement is short of because a page is not there. One finding tells of the page, whatever the number of
 * requirements; each of them loses what an empty page would lose.
 */
final readonly class MissingPage
{
    /** The variant of a scope in which no page is, and none has a name. */
    public const NONE = 'no-page';

    public const NAMED = 'missing-page';

    /** @param  float  $cost  of the item, above 0 and at most 1 */
    public static function named(string $path, ParsedSite $site, ?string $item = null, float $cost = 1.0): Shortfall
    {
        $isThere = $site->files->file($path) !== null;

        return Shortfall::of(
            Draft::in($path, null, Span::at(0), "missing:$path")
                ->variant(self::NAMED)
                ->mark(ProofMark::Insert)
                ->says($isThere ? "`$path` is not a page that can be read." : "The page `$path` is missing.")
                ->remedy("Add `$path`.")
                ->about(Subject::file($path), Subject::page($path)),
        )->item($item ?? "missing $path")->costing($cost)->asMissingPage();
    }

    /** One of those that have no names: "at least seven pages". */
    public static function unnamed(int $nth, int $count): Shortfall
    {
        return Shortfall::of(
            Draft::in(Site::HOME, null, Span::at(0), "missing:#$nth")
                ->variant(self::NAMED)
                ->mark(ProofMark::Insert)
                ->says($count === 1 ? 'A page is missing.' : "$count pages are missing.")
                ->remedy($count === 1 ? 'Add it.' : 'Add them.')
                ->about(Subject::pages()),
        )->item("missing #$nth")->asMissingPage();
    }

    /** There is no page that a requirement is about, and none has a name that could be missed. */
    public static function none(Requirement $requirement, ParsedSite $site): Shortfall
    {
        $globs = $requirement->terms->pages->names();

        return Shortfall::of(
            Draft::in(Site::HOME, $site->files->home(), Span::at(0), "no-page:{$requirement->terms->id}")
                ->variant(self::NONE)
                ->mark(ProofMark::Insert)
                ->says($globs === [] || $requirement->terms->pages->literalOrGlob() === []
                    ? 'The site has no page that this could be true of.'
                    : 'There is no page named '.English::names($globs, 'or').'; the brief asks for something on it.')
                ->remedy('Add the page, named as the brief says.'),
        )->item('none');
    }
}
