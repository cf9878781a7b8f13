<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\LostTag;
use InkedMargin\Core\Brief\Requirement\NamesThings;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Brief\Requirement\TextPattern;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Consistency\CopyOwners;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\TextGroups;
use InkedMargin\Core\Style\Selector\Matching;
use InkedMargin\Core\Style\Selector\SelectorList;

/** The headings of one level: that each page has one, what they say, that they differ, and where they stand. */
final readonly class Headings extends Requirement implements NamesThings, SpeaksForItself
{
    /** @param  SelectorList|null  $inside  what each of them has to stand in; null for anywhere */
    public function __construct(
        Terms $terms,
        public int $level,
        private ?TextPattern $pattern,
        private bool $differ,
        private ?SelectorList $inside,
    ) {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'headings';
    }

    public static function about(): string
    {
        return 'What the headings of one level say, whether they differ between pages, and where they stand.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/headings',
            'Heading requirement not met',
            Weight::Departure,
            ProofMark::Change,
            'A heading is not as the brief asks for.',
            'Headings are the table of contents of a page. In the form that the brief asks for, '
                .'readers find their way on every page alike.',
            Citation::brief(),
            ['markup/stray-end-tag'],
        );
    }

    public static function fields(): array
    {
        return [
            Field::wholeNumber('level', '1 to 6; 1 when it is left out', 1, 6),
            Field::text(
                'pattern',
                'what each says: words with `*` for the page’s own, or a regular expression between slashes',
            ),
            Field::flag('differ', 'whether no two pages may have the same; no when it is left out'),
            Field::text('inside', 'what each stands in, as a CSS selector'),
        ];
    }

    public static function variants(): array
    {
        return array_fill_keys(['missing', 'form', 'repeated', 'place'], 'brief/headings');
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        $pattern = null;
        try {
            $pattern = $fields->has('pattern') ? TextPattern::read($fields->text('pattern')) : null;
        } catch (BriefError $error) {
            $fields->problem('pattern', $error->problems[0]);
        }

        return new self(
            $terms,
            $fields->wholeNumber('level') ?? 1,
            $pattern,
            $fields->flag('differ', false),
            $fields->has('inside') ? $fields->selector('inside') : null,
        );
    }

    public function sentence(): string
    {
        return "{$this->terms->pages->sentence()} has {$this->name()}"
            .($this->inside === null ? '' : " inside `{$this->inside->written}`")
            .($this->pattern === null ? '' : " of the form “{$this->pattern->written}”")
            .($this->differ ? ', and no two are the same.' : '.');
    }

    public function named(string $what): array
    {
        return $what === 'element' ? ["h$this->level", ...$this->inside?->elementNames() ?? []] : [];
    }

    public function assess(ParsedSite $site): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $shortfalls = [];
        /** @var TextGroups<array{Page, Element}> $byWords */
        $byWords = new TextGroups;
        foreach ($pages as $page) {
            $headings = $this->headingsOn($page);
            if ($headings === []) {
                $shortfalls[] = $this->missing($page);

                continue;
            }
            array_push($shortfalls, ...$this->wrongIn($page, $headings));
            $byWords->add(mb_strtolower($headings[0]->words()), [$page, $headings[0]]);
        }
        foreach ($this->differ ? $byWords : [] as $same) {
            array_push($shortfalls, ...$this->repeats($same, $site));
        }

        return Assessment::ofPages(count($pages), $shortfalls, $this->expectation());
    }

    /** @return list<Element> the headings of the asked level that have words */
    private function headingsOn(Page $page): array
    {
        return array_values(array_filter(
            $page->named("h$this->level"),
            fn (Element $heading) => $heading->words() !== '',
        ));
    }

    /**
     * @param  non-empty-list<Element>  $headings
     * @return list<Shortfall>
     */
    private function wrongIn(Page $page, array $headings): array
    {
        $found = [];
        $isFit = fn (Element $heading) => $this->pattern?->is($heading->words()) !== false;
        if (array_filter($headings, $isFit) === []) {
            $found[] = $this->misshapen($page, $headings[0]);
        }
        $inside = $this->inside?->written;
        foreach ($headings as $heading) {
            if ($inside !== null && ! $this->standsInside($heading, $page->matching)) {
                $found[] = $this->outside($page, $heading, $inside);
            }
        }

        return $found;
    }

    private function misshapen(Page $page, Element $heading): Shortfall
    {
        $hasStar = str_contains($this->pattern->written ?? '', '*');

        return self::at(
            $page,
            $heading,
            'form',
            ProofMark::Change,
            "The heading is “{$heading->words()}”; the brief asks for the form “{$this->pattern?->written}”.",
            "Write it as “{$this->pattern?->written}”"
                .($hasStar ? ', with the page’s own words in place of the star.' : '.'),
        );
    }

    private function outside(Page $page, Element $heading, string $inside): Shortfall
    {
        return self::at(
            $page,
            $heading,
            'place',
            ProofMark::Move,
            "This heading is not inside `$inside`.",
            "Move it into `$inside`.",
            slips: [SlipName::outside($page, $heading)],
            follows: SlipName::partAround($page, "$inside h$this->level", 1),
        );
    }

    private function standsInside(Element $heading, Matching $matching): bool
    {
        for ($around = $heading->parent; $around instanceof Element; $around = $around->parent) {
            if ($this->inside?->matches($around, $matching) === true) {
                return true;
            }
        }

        return false;
    }

    private function missing(Page $page): Shortfall
    {
        return Shortfall::of(
            Draft::onPage($page, $page->bodyPlace(), "heading:$this->level")
                ->variant('missing')
                ->mark(ProofMark::Insert)
                ->says("This page has no {$this->name()}.")
                ->remedy("Type `<h$this->level>…</h$this->level>` with what the page is about.")
                ->causedBy(...LostTag::causes($page, ["h$this->level"])),
        )->slips(...SlipName::lack($page, "h$this->level"));
    }

    /**
     * @param  non-empty-list<array{Page, Element}>  $same
     * @return list<Shortfall> one for each page but the one that the heading belongs to
     */
    private function repeats(array $same, ParsedSite $site): array
    {
        $owner = $site->fact(CopyOwners::class)->owner($same[0][1]->words(), array_column($same, 0));
        [[, $first]] = array_values(array_filter($same, fn (array $one) => $one[0] === $owner));
        $found = [];
        foreach ($same as [$page, $heading]) {
            if ($page !== $owner) {
                $found[] = $this->repeated($page, $heading, $owner, $first);
            }
        }

        return $found;
    }

    private function repeated(Page $page, Element $heading, Page $other, Element $first): Shortfall
    {
        return self::at(
            $page,
            $heading,
            'repeated',
            ProofMark::Change,
            "“{$heading->words()}” is the heading of `{$other->path()}` too.",
            'Write what this page is about.',
            [new Related($other->file, $first->place(), 'the same heading')],
        );
    }

    /**
     * @param  list<Related>  $related
     * @param  list<string>  $slips
     * @param  list<string>  $follows
     */
    private static function at(
        Page $page,
        Element $heading,
        string $variant,
        ProofMark $mark,
        string $message,
        string $remedy,
        array $related = [],
        array $slips = [],
        array $follows = [],
    ): Shortfall {
        return Shortfall::of(
            Draft::onPage($page, $heading->place(), "{$heading->path()}#$variant")
                ->variant($variant)
                ->mark($mark)
                ->says($message)
                ->remedy($remedy)
                ->related(...$related)
                ->about(Subject::element($page->path(), $heading)),
        )->slips(...$slips)->following($follows);
    }

    private function name(): string
    {
        return "`<h$this->level>`";
    }
}
