<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\Consistency\CopiedPages;
use InkedMargin\Core\Site\Consistency\Leftover;
use InkedMargin\Core\Site\Consistency\LeftoverKind;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;

/** Every page has a title, of a given form, and no two pages have the same. */
final readonly class Titles extends Requirement implements SpeaksForItself
{
    public const BLANK = 'The `<title>` is empty.';

    public const REPEATED_REMEDY = 'Write a title that says what this page is about.';

    public const BLANK_REMEDY = 'Type the name of the site and of this page between `<title>` and `</title>`.';

    /** @param  string|null  $pattern  in which `*` stands for any words */
    public function __construct(Terms $terms, public ?string $pattern, public bool $differ)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'titles';
    }

    public static function about(): string
    {
        return 'Every page has a title, of a given form, and no two are the same.';
    }

    public static function facts(): RuleFacts
    {
        return new RuleFacts(
            'brief/titles',
            'Wrong title form',
            Weight::Departure,
            ProofMark::Change,
            'A title does not have the form that the brief asks for.',
            'If all titles have the same form, people see in a tab or a bookmark both which site and '
                .'which page it is.',
            Citation::brief(),
            ['content/default-title', 'content/same-title'],
        );
    }

    public static function fields(): array
    {
        return [
            Field::text('pattern', 'the form of a title, with `*` for the page’s own words'),
            Field::flag('differ', 'whether no two pages may have the same; yes when it is left out'),
        ];
    }

    public static function variants(): array
    {
        return [
            'missing' => 'markup/missing-title',
            'empty' => 'markup/empty-title',
            'form' => 'brief/titles',
            'repeated' => 'content/same-title',
        ];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        return new self($terms, $fields->optionalText('pattern'), $fields->flag('differ', true));
    }

    public function sentence(): string
    {
        return $this->terms->pages->sentence().' has a title'
            .($this->pattern === null ? '' : " of the form “{$this->pattern}”")
            .($this->differ ? ', and no two titles are the same.' : '.');
    }

    public function assess(ParsedSite $site): Assessment
    {
        $pages = $this->terms->pages->of($site);
        $shortfalls = [];
        foreach ($pages as $page) {
            $shortfall = $this->shortfallOn($page);
            if ($shortfall !== null) {
                $shortfalls[] = $shortfall;
            }
        }
        if ($this->differ) {
            $covered = array_fill_keys(array_map(fn (Page $page) => $page->path(), $pages), true);
            foreach ($site->fact(CopiedPages::class)->pairs as $leftovers) {
                $isTitle = $leftovers[0]->kind === LeftoverKind::Title;
                if ($isTitle && isset($covered[$leftovers[0]->page->path()])) {
                    $shortfalls[] = self::repeated($leftovers);
                }
            }
        }

        return Assessment::ofPages(count($pages), $shortfalls, $this->expectation());
    }

    private function shortfallOn(Page $page): ?Shortfall
    {
        $text = $page->titleText();

        return match (true) {
            $page->title() === null => self::missing($page),
            $text === '' => self::empty($page),
            ! $this->fits($text) => $this->misshapen($page, $text),
            default => null,
        };
    }

    private function fits(string $text): bool
    {
        if ($this->pattern === null) {
            return true;
        }
        $pattern = str_replace('\*', '.+', preg_quote($this->pattern, '~'));

        return preg_match("~^$pattern\$~iuD", $text) === 1;
    }

    /** What is said of a page without a title, here and in the rule. */
    public static function draftOfMissing(Page $page): Draft
    {
        return Draft::onPage($page, $page->headPlace(), 'title')
            ->says('This page has no `<title>`, so the browser tab shows the address instead.')
            ->remedy('Type `<title>…</title>` inside `<head>`, with the name of the site and of this page.')
            ->about(Subject::page($page->path()));
    }

    private static function missing(Page $page): Shortfall
    {
        return Shortfall::of(self::draftOfMissing($page)->variant('missing')->mark(ProofMark::Insert))
            ->slips(...SlipName::lack($page, 'title'));
    }

    private static function empty(Page $page): Shortfall
    {
        return self::atTitle($page, 'empty', self::BLANK, self::BLANK_REMEDY);
    }

    private function misshapen(Page $page, string $text): Shortfall
    {
        $wanted = $this->pattern ?? '';

        return self::atTitle(
            $page,
            'form',
            "The title is “{$text}”; the brief asks for the form “{$wanted}”.",
            "Write it as “{$wanted}”"
                .(str_contains($wanted, '*') ? ', with the page’s own words in place of the star.' : '.'),
        );
    }

    /** What is said of a title that another page has, here and in the rule. */
    public static function messageOfRepeated(Leftover $title): string
    {
        return "This page has the same title as `{$title->owner->path()}`: “{$title->words}”.";
    }

    /** @param  non-empty-list<Leftover>  $leftovers  the title first; pictures are reported by their own requirement */
    private static function repeated(array $leftovers): Shortfall
    {
        $others = array_values(array_filter(
            array_slice($leftovers, 1),
            fn (Leftover $one) => $one->kind !== LeftoverKind::Picture,
        ));

        return self::atTitle(
            $leftovers[0]->page,
            'repeated',
            self::messageOfRepeated($leftovers[0]).CopiedPages::sentence($others),
            self::REPEATED_REMEDY.CopiedPages::remedy($others),
            [Related::original($leftovers[0]), ...Related::leftovers($others)],
        );
    }

    /** @param  list<Related>  $related */
    private static function atTitle(
        Page $page,
        string $variant,
        string $message,
        string $remedy,
        array $related = [],
    ): Shortfall {
        $title = $page->title();

        return Shortfall::of(
            Draft::onPage($page, $title?->span() ?? $page->headPlace(), $title?->path() ?? 'title')
                ->variant($variant)
                ->mark($variant === 'empty' ? ProofMark::Insert : ProofMark::Change)
                ->says($message)
                ->remedy($remedy)
                ->related(...$related)
                ->about(...($title === null ? [] : [Subject::element($page->path(), $title)])),
        );
    }
}
