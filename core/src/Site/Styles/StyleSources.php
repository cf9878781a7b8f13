<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Sheet;
use InkedMargin\Core\Site\SiteFact;

/** All places of a site at which CSS is written: the files in their order, then what stands in pages. */
final readonly class StyleSources implements SiteFact
{
    /** @param  list<StyleSource>  $all */
    private function __construct(public array $all)
    {
    }

    public static function of(ParsedSite $site): static
    {
        $styles = $site->fact(SiteStyles::class);
        $all = array_map(
            fn (Sheet $sheet) => new StyleSource($sheet->file, $sheet->css, rules: $styles->rulesIn($sheet)),
            array_values($site->sheets),
        );
        foreach ($site->pages as $page) {
            foreach ($page->styles as $style) {
                $all[] = new StyleSource($page->file, $style->css, $style);
            }
        }

        return new self($all);
    }
}
