<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

/** Every page has a title, of a given form, and no two pages have the same. */
final readonly class Titles extends Requirement
{
    /** @param  string|null  $pattern in which `*` stands for any words */
    public function __construct(Terms $terms, public ?string $pattern, public bool $differ)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'titles';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        return new self($terms, $fields->has('pattern') ? $fields->requiredText('pattern') : null, $fields->flag('differ', true));
    }

    public function sentence(): string
    {
        return $this->terms->pages->sentence().' has a title'
            .($this->pattern === null ? '' : " of the form “{$this->pattern}”")
            .($this->differ ? ', and no two titles are the same.' : '.');
    }

    public function judge(SiteReading $reading): Judgement
    {
        $pages = $this->terms->pages->of($reading);
        $repeated = $this->differ ? array_merge(...array_values(self::repeated($pages))) : [];
        $good = array_filter($pages, fn (Page $page) => $page->titleText() !== '' && $this->fits($page) && ! in_array($page, $repeated, true));

        return Judgement::pages(count($good), count($pages), rtrim($this->sentence(), '.'));
    }

    public function fits(Page $page): bool
    {
        if ($this->pattern === null) {
            return true;
        }
        $pattern = str_replace('\*', '.+', preg_quote($this->pattern, '~'));

        return preg_match("~^$pattern\$~iuD", $page->titleText()) === 1;
    }

    /**
     * @param  iterable<Page>  $pages
     * @return array<string, list<Page>> by title, each with the pages that use it after the first that did
     */
    public static function repeated(iterable $pages): array
    {
        $seen = [];
        $repeated = [];
        foreach ($pages as $page) {
            $title = mb_strtolower($page->titleText());
            if ($title === '') {
                continue;
            }
            if (isset($seen[$title])) {
                $repeated[$title][] = $page;
            }
            $seen[$title] = true;
        }

        return $repeated;
    }
}
