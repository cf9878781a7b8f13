<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Sheet;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Style\Syntax\Declaration;

/** All places of a site at which CSS is written: the files in their order, then what stands in pages. */
final readonly class StyleSources implements SiteFact
{
    /** @var array<int, StyleSource> by the object id of its tokens */
    private array $byTokens;

    /** @param  list<StyleSource>  $all */
    private function __construct(public array $all)
    {
        $byTokens = [];
        foreach ($all as $source) {
            $byTokens[spl_object_id($source->css->tokens)] = $source;
        }
        $this->byTokens = $byTokens;
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

    /** Where a declaration is written; null for what no place of the site says, such as a browser's own rule. */
    public function writing(Declaration $declaration): ?StyleSource
    {
        return $this->byTokens[spl_object_id($declaration->tokens)] ?? null;
    }
}
