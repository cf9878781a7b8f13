<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Stylesheets;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\ComparesFiles;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Source\English;

/**
 * The order of the stylesheets against the brief, or against most of the pages. A later sheet wins over an earlier one
 * (CSS Cascade 4, section 6.4.3).
 */
final readonly class SheetOrder extends Rule implements ComparesFiles
{
    /** So many pages have to agree before one that differs is out of order. */
    private const FEWEST = 2;

    /** Of a page with more sheets than this, those beyond are not looked at. */
    private const MOST = 20;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/sheet-order',
            'Wrong stylesheet order',
            Weight::Departure,
            ProofMark::Move,
            'The stylesheets are not linked in the order that the brief asks for, or that most pages have.',
            'If two stylesheets disagree, the later one wins. In another order, the page looks '
                .'different.',
            Citation::css(
                'CSS Cascading and Inheritance Level 4',
                'Cascade Sorting Order',
                'css-cascade-4/#cascade-sort',
            ),
        ));
    }

    public function check(Examination $exam): iterable
    {
        $sheets = $after = [];
        foreach ($exam->site->pages as $page) {
            $sheets[$page->path()] = self::sheetsOf($page);
            foreach (self::pairs($sheets[$page->path()]) as [$first, $second]) {
                $after[$first][$second] = ($after[$first][$second] ?? 0) + 1;
            }
        }
        foreach ($exam->site->pages as $page) {
            if ($exam->brief->covering($page->path(), Stylesheets::class) !== null) {
                continue;
            }
            foreach (self::pairs($sheets[$page->path()]) as [$first, $second]) {
                $others = $after[$second][$first] ?? 0;
                if ($others >= self::FEWEST && $others >= 2 * ($after[$first][$second] ?? 0)) {
                    yield $this->turned($page, $sheets[$page->path()][$first], $first, $second, $others);

                    break;
                }
            }
        }
    }

    private function turned(Page $page, Reference $link, string $first, string $second, int $others): Draft
    {
        return Draft::onPage($page, $link->element?->place() ?? $link->span, "order:$first:$second")
            ->says("`$first` is linked before `$second` here, and after it on ".English::count($others, 'other page')
                .', so another rule wins here where both set the same.')
            ->remedy("Move the link to `$first` below that to `$second`.")
            ->causedBy(Subject::place($page->path(), $link->span->start));
    }

    /** @return array<string, Reference> the site's own sheets on a page, in order, each where it is linked first */
    private static function sheetsOf(Page $page): array
    {
        $sheets = [];
        foreach ($page->stylesheets() as $reference) {
            if ($reference->target->found !== null) {
                $sheets[$reference->target->found] ??= $reference;
            }
        }

        return $sheets;
    }

    /**
     * @param  array<string, Reference>  $linked
     * @return list<array{string, string}> each with each that comes after it
     */
    private static function pairs(array $linked): array
    {
        $sheets = array_slice(array_map(strval(...), array_keys($linked)), 0, self::MOST);
        $pairs = [];
        foreach ($sheets as $at => $first) {
            foreach (array_slice($sheets, $at + 1) as $second) {
                $pairs[] = [$first, $second];
            }
        }

        return $pairs;
    }
}
