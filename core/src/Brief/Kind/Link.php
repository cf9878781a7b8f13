<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Glob;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\Map\PageLink;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\RelativePath;
use InkedMargin\Core\Site\Resolution;

/** A link that must be there: from each of some pages to a page of the site, or to another site. */
final readonly class Link extends Requirement implements NamesThings, SpeaksForItself
{
    /**
     * @param  string  $to  a path from the site's root, or an address with its scheme
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

    public static function about(): string
    {
        return 'A link that must be there, to a page of the site or to another site.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/link',
            'Required link not right',
            Weight::Departure,
            ProofMark::Insert,
            'A link that the brief asks for is missing, or not as it asks.',
            'The brief asks for this link because readers need it here. If it is missing or says '
                .'something else, they do not get there.',
            Citation::brief(),
            [
                'file/missing', 'link/missing-file', 'link/letter-case', 'link/wrong-folder', 'link/outside-site',
                'link/local-path', 'link/bad-address', 'file/name',
            ],
        );
    }

    public static function fields(): array
    {
        return [
            Field::text(
                'to',
                'a path from the root of the site, a pattern such as `*.pdf`, or an address with its scheme',
                true,
            ),
            Field::text('label', 'words that the link has to say'),
            Field::flag('new_tab', 'whether it opens a new tab; either when it is left out'),
        ];
    }

    public static function variants(): array
    {
        return array_fill_keys(['missing', 'label', 'tab'], 'brief/link');
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        return new self($terms, $fields->text('to'), $fields->optionalText('label'), $fields->optionalFlag('new_tab'));
    }

    public function sentence(): string
    {
        return "{$this->terms->pages->sentence()} links to `{$this->to}`".$this->wishes().'.';
    }

    public function named(string $what): array
    {
        return $what === 'path' && ! $this->isOutside() && ! $this->isPattern() ? explode('/', $this->to) : [];
    }

    public function assess(ParsedSite $site): Assessment
    {
        $target = $site->pathFor($this->to);
        $all = $this->terms->pages->of($site);
        // A page need not link to itself.
        $pages = array_values(array_filter($all, fn (Page $page) => $page->path() !== $target));
        $shortfalls = array_values(
            array_filter(array_map(fn (Page $page) => $this->shortfallOn($page, $target, $site), $pages)),
        );

        if ($pages === [] && $all !== []) {
            return Assessment::of(1, [], 'no page but the one that it leads to', $this->expectation());
        }

        return Assessment::ofPages(count($pages), $shortfalls, $this->expectation());
    }

    private function shortfallOn(Page $page, string $target, ParsedSite $site): ?Shortfall
    {
        $links = array_values(array_filter(
            $site->fact(LinkMap::class)->linksOn($page->path()),
            fn (PageLink $link) => $this->leadsThere($link, $target),
        ));
        foreach ($links as $link) {
            if ($this->hasLabel($link) && $this->opensAsAsked($link)) {
                return null;
            }
        }
        $near = $links[0] ?? null;
        $address = match (true) {
            $this->isPattern() => '…',
            $this->isOutside() => $this->to,
            default => RelativePath::between($page->path(), $this->to),
        };
        [$variant, $mark, $message, $remedy] = match (true) {
            $near === null => [
                'missing',
                ProofMark::Insert,
                $this->isPattern()
                    ? "This page has no link to a file such as `{$this->to}`; the brief asks for one."
                    : "This page has no link to `{$this->to}`; the brief asks for one.",
                "Add `<a href=\"$address\"".($this->inNewTab === true ? ' target="_blank"' : '').'>'
                    .($this->label ?? '…')
                    .'</a>`.',
            ],
            ! $this->hasLabel($near) => [
                'label',
                ProofMark::Change,
                "The link to `{$this->to}` says “{$near->label}”; the brief asks for “{$this->label}”.",
                "Change its words to “{$this->label}”.",
            ],
            $this->inNewTab === true => [
                'tab',
                ProofMark::Change,
                "The link to `{$this->to}` opens in the same tab; the brief asks for a new one.",
                'Add `target="_blank"` to the `<a>` tag.',
            ],
            default => [
                'tab',
                ProofMark::Change,
                "The link to `{$this->to}` opens a new tab; the brief asks for the same one.",
                'Remove `target="_blank"` from the `<a>` tag.',
            ],
        };

        return Shortfall::of(
            Draft::onPage($page, $near->reference->span ?? $page->bodyPlace(), "link:{$this->terms->id}")
                ->variant($variant)
                ->mark($mark)
                ->says($message)
                ->remedy($remedy)
                ->about(...($near?->reference->element === null
                    ? []
                    : [Subject::element($page->path(), $near->reference->element)]))
                ->causedBy(...($near === null ? $this->brokenLinksThere($page, $site) : [])),
        )->slips(...($near === null ? [SlipName::way($page->path(), $target)] : []));
    }

    /** @return list<string> the links of a page that would lead there but for a slip, which has a rule of its own */
    private function brokenLinksThere(Page $page, ParsedSite $site): array
    {
        $causes = $this->isPattern() ? [] : [Subject::file($this->to)];
        foreach ($site->fact(LinkMap::class)->linksOn($page->path()) as $link) {
            $target = $link->reference->target;
            $isOneOf = $this->isOneOf($target->path) || $this->isOneOf($target->candidates[0] ?? null);
            $isMeant = $this->isPattern() && $target->resolution->isBroken() && $isOneOf;
            if ($isMeant || in_array($this->to, $target->candidates, true)) {
                $causes[] = Subject::place($page->path(), $link->reference->span->start);
            }
        }

        return $causes;
    }

    private function isOutside(): bool
    {
        return ! RelativePath::isPath($this->to);
    }

    /** Whether a link to any of several files will do. */
    private function isPattern(): bool
    {
        return Glob::isPattern($this->to) && ! $this->isOutside();
    }

    private function isOneOf(?string $path): bool
    {
        $pattern = str_contains($this->to, '/') ? $this->to : "**/$this->to";

        return $path !== null && (Glob::matches($this->to, $path) || Glob::matches($pattern, $path));
    }

    public function pagesNeeded(Materials $materials): array
    {
        return $this->isOutside() || $this->isPattern() ? [] : [explode('#', $this->to)[0]];
    }

    private function hasLabel(PageLink $link): bool
    {
        return $this->label === null || Label::says($link->label, $this->label);
    }

    private function opensAsAsked(PageLink $link): bool
    {
        return $this->inNewTab === null || $this->inNewTab === $link->opensNewTab();
    }

    /** Whether it links to the right page, although that is still missing: the missing page is a finding of its own. */
    private function leadsToMissing(PageLink $link): bool
    {
        $target = $link->reference->target;

        return $target->resolution === Resolution::MissingFile && $target->path === explode('#', $this->to)[0];
    }

    private function leadsThere(PageLink $link, string $target): bool
    {
        if ($this->isPattern()) {
            return $this->isOneOf($link->reference->target->found);
        }
        if (! $this->isOutside()) {
            return $link->to() === $target || $this->leadsToMissing($link);
        }
        $address = rtrim($link->reference->target->address ?? '', '/');
        $wanted = rtrim($this->to, '/');
        // What follows has to begin a path, a query or a fragment: "museum.example" is not "museum.example.org".
        $rest = stripos($address, $wanted) === 0 ? substr($address, strlen($wanted)) : null;

        return $rest !== null && ($rest === '' || in_array($rest[0], ['/', '?', '#'], true));
    }

    private function wishes(): string
    {
        $label = $this->label === null ? '' : " with the words “{$this->label}”";

        return $label.match ($this->inNewTab) {
            null => '',
            true => ', in a new tab',
            false => ', in the same tab',
        };
    }
}
