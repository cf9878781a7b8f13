<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Stylesheets;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A stylesheet that the brief, or more than half of the pages, link and this page does not. Common practice. */
final readonly class SheetNotOnPage extends Rule
{
    public function __construct()
    {
        parent::__construct('style/not-on-page', Weight::Departure, ProofMark::Insert, 'A stylesheet that the other pages link is not linked here.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        $usual = self::usualSheets($reading);
        foreach ($reading->pages as $page) {
            $requirement = $brief->covering($page->path(), Stylesheets::class);
            $wanted = $requirement->sheets ?? $usual;
            foreach (array_diff($wanted, Stylesheets::linked($page, $wanted)) as $sheet) {
                if (self::isMisaddressed($page, $sheet)) {
                    continue;
                }
                $head = $page->document->first('head');
                $address = RelativePath::between($page->path(), $sheet);
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    $head?->place() ?? Span::at(0),
                    "This page does not link the stylesheet {$sheet}, so it looks different from ".($requirement === null ? 'the others.' : 'what the brief asks for.'),
                    "In the head, type <link rel=\"stylesheet\" href=\"{$address}\">.",
                    "sheet:{$sheet}",
                    for: $requirement,
                );
            }
        }
    }

    /** @return list<string> */
    private static function usualSheets(SiteReading $reading): array
    {
        $pages = [];
        foreach ($reading->pages as $page) {
            foreach ($page->stylesheets() as $reference) {
                if ($reference->target->found !== null) {
                    $pages[$reference->target->found][$page->path()] = true;
                }
            }
        }
        $usual = array_filter($pages, fn (array $linking) => 2 * count($linking) > count($reading->pages));

        return array_map(strval(...), array_keys($usual));
    }

    /** A link with the right file name on the wrong path is a finding of `link/…` already. */
    private static function isMisaddressed(Page $page, string $sheet): bool
    {
        foreach ($page->stylesheets() as $reference) {
            if ($reference->target->verdict->isBroken() && ($reference->target->meant() === $sheet || basename((string) $reference->target->path) === basename($sheet))) {
                return true;
            }
        }

        return false;
    }
}
