<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

/** The stylesheets every page links, in their order. */
final readonly class Stylesheets extends Requirement
{
    /** @param  list<string>  $sheets paths from the site's root */
    public function __construct(Terms $terms, public array $sheets)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'stylesheets';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $sheets = $fields->texts('sheets');
        if ($sheets === []) {
            $fields->problem('sheets', 'at least one stylesheet is needed');
        }

        return new self($terms, $sheets);
    }

    public function sentence(): string
    {
        return $this->terms->pages->sentence().' links '.implode(', then ', $this->sheets).'.';
    }

    public function judge(SiteReading $reading): Judgement
    {
        $pages = $this->terms->pages->of($reading);
        $good = array_filter($pages, fn (Page $page) => self::linked($page, $this->sheets) === $this->sheets);

        return Judgement::pages(count($good), count($pages), implode(', then ', $this->sheets));
    }

    /**
     * @param  list<string>  $sheets
     * @return list<string> those of `$sheets` that the page links, in the page's order
     */
    public static function linked(Page $page, array $sheets): array
    {
        $linked = [];
        foreach ($page->stylesheets() as $reference) {
            $path = $reference->target->meant();
            if ($path !== null && in_array($path, $sheets, true)) {
                $linked[] = $path;
            }
        }

        return array_values(array_unique($linked));
    }
}
