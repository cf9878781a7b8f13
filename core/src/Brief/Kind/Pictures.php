<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

/** So many pictures a page, with words for whoever cannot see them, and different ones on different pages. */
final readonly class Pictures extends Requirement
{
    /** @param  bool  $withAlt  whether every picture has to have alt text that is not empty */
    public function __construct(Terms $terms, private int $atLeast, private ?int $atMost, public bool $withAlt, private bool $differ)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'pictures';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        return new self($terms, $fields->wholeNumber('at_least') ?? 0, $fields->wholeNumber('at_most'), $fields->flag('alt', true), $fields->flag('differ', false));
    }

    public function sentence(): string
    {
        $count = match (true) {
            $this->atMost !== null && $this->atMost === $this->atLeast => "{$this->atLeast} ".($this->atLeast === 1 ? 'picture' : 'pictures'),
            $this->atMost !== null => "{$this->atLeast} to {$this->atMost} pictures",
            $this->atLeast > 0 => "at least {$this->atLeast} ".($this->atLeast === 1 ? 'picture' : 'pictures'),
            default => 'pictures',
        };

        return $this->terms->pages->sentence()." has {$count}".($this->withAlt ? ', each with alt text' : '').($this->differ ? ', and no two pages show the same.' : '.');
    }

    public function judge(SiteReading $reading): Judgement
    {
        $pages = $this->terms->pages->of($reading);
        $shownOn = $this->differ ? array_count_values(array_merge(...array_map(self::shown(...), $pages))) : [];
        $good = array_filter($pages, fn (Page $page) => $this->hasEnough($page) && (! $this->withAlt || self::allHaveAlt($page))
            && array_filter(self::shown($page), fn (string $picture) => ($shownOn[$picture] ?? 1) > 1) === []);

        return Judgement::pages(count($good), count($pages), rtrim($this->sentence(), '.'));
    }

    private function hasEnough(Page $page): bool
    {
        $count = count(self::on($page));

        return $count >= $this->atLeast && ($this->atMost === null || $count <= $this->atMost);
    }

    private static function allHaveAlt(Page $page): bool
    {
        return array_filter(self::on($page), fn (Element $picture) => trim($picture->value('alt') ?? '') === '') === [];
    }

    /** @return list<Element> */
    private static function on(Page $page): array
    {
        return array_values(array_filter($page->elements, fn (Element $element) => $element->name === 'img' && $element->isWritten()));
    }

    /** @return list<string> the addresses of a page's pictures, each once */
    private static function shown(Page $page): array
    {
        return array_values(array_unique(array_map(fn (Element $picture) => basename($picture->value('src') ?? ''), self::on($page))));
    }
}
