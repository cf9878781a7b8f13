<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Fields;
use InkedMargin\Core\Brief\Judgement;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Terms;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\Link;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;

/** A link that has to be there: from each of some pages to a page of the site, or to another site. */
final readonly class WantedLink extends Requirement
{
    /**
     * @param  string  $to  a path from the site's root, or the beginning of an address with its scheme
     * @param  string|null  $label  words that its label has to have
     * @param  bool|null  $inNewTab  null when either will do
     */
    public function __construct(Terms $terms, public string $to, public ?string $label, public ?bool $inNewTab)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'link';
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        return new self($terms, $fields->requiredText('to'), $fields->has('label') ? $fields->requiredText('label') : null, $fields->has('new_tab') ? $fields->flag('new_tab', true) : null);
    }

    public function sentence(): string
    {
        return $this->terms->pages->sentence()." links to {$this->to}"
            .($this->label === null ? '' : " with the words “{$this->label}”")
            .match ($this->inNewTab) {
                null => '.', true => ', in a new tab.', false => ', in the same tab.',
            };
    }

    public function judge(SiteReading $reading): Judgement
    {
        $pages = $this->pages($reading);

        return Judgement::pages(count(array_filter($pages, fn (Page $page) => $this->isOn($page, $reading))), count($pages), rtrim($this->sentence(), '.'));
    }

    /** @return list<Page> those that should have it: a page need not link to itself */
    public function pages(SiteReading $reading): array
    {
        return array_values(array_filter($this->terms->pages->of($reading), fn (Page $page) => $page->path() !== $this->to));
    }

    public function isOn(Page $page, SiteReading $reading): bool
    {
        return array_filter($reading->map()->linksOn($page->path()), $this->isKept(...)) !== [];
    }

    /** A link of the page that leads there and is not as the brief wants it in something else; null when none leads there. */
    public function nearlyOn(Page $page, SiteReading $reading): ?Link
    {
        foreach ($reading->map()->linksOn($page->path()) as $link) {
            if ($this->leadsThere($link)) {
                return $link;
            }
        }

        return null;
    }

    private function isKept(Link $link): bool
    {
        $isNewTab = strtolower(trim($link->reference->element?->value('target') ?? '')) === '_blank';

        return $this->leadsThere($link)
            && ($this->label === null || Label::says($link->label, $this->label))
            && ($this->inNewTab === null || $this->inNewTab === $isNewTab);
    }

    private function leadsThere(Link $link): bool
    {
        $address = $link->reference->target->address;

        return $link->to() === $this->to || ($address !== null && str_contains($this->to, ':') && str_starts_with(rtrim($address, '/'), rtrim($this->to, '/')));
    }
}
