<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\SlipName;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Styles\ContrastPair;
use InkedMargin\Core\Site\Styles\ContrastPairs;
use InkedMargin\Core\Site\Styles\StyleSources;

/** Text that can be read against what is behind it (WCAG 2.2, success criteria 1.4.3 and 1.4.6). */
final readonly class Contrast extends Requirement
{
    private const MAX_RELATED = 6;

    public function __construct(Terms $terms, private string $level)
    {
        parent::__construct($terms);
    }

    public static function kind(): string
    {
        return 'contrast';
    }

    public static function about(): string
    {
        return 'That text and links can be read against their background.';
    }

    public static function fields(): array
    {
        return [Field::choice(
            'level',
            'of WCAG 2.2: `AA` asks for 4.5:1, `AAA` for 7:1; `AA` when it is left out',
            ['AA', 'AAA'],
        )];
    }

    public static function variants(): array
    {
        return [
            'low' => 'style/low-contrast',
        ];
    }

    public static function read(Terms $terms, Fields $fields): self
    {
        return new self($terms, $fields->text('level', 'AA'));
    }

    public function readsStyles(): bool
    {
        return true;
    }

    public function sentence(): string
    {
        return "{$this->terms->pages->sentence()} has {$this->wanted()}.";
    }

    public function assess(ParsedSite $site): Assessment
    {
        $paths = array_flip(array_map(fn ($page) => $page->path(), $this->terms->pages->of($site)));
        $pairs = self::pairsOn($paths, $site);
        $shortfalls = [];
        foreach ($pairs as $pair) {
            $shortfall = $pair->ratio < $pair->neededFor($this->level) ? $this->tooLow($pair, $site) : null;
            if ($shortfall !== null) {
                $shortfalls[] = $shortfall;
            }
        }
        $good = count($pairs) - count($shortfalls);
        if ($pairs === [] && $paths !== []) {
            return $this->withoutColours($site, $paths);
        }

        return Assessment::of(
            count($pairs),
            $shortfalls,
            "$good of ".count($pairs).' pairs of colours',
            $this->wanted(),
        );
    }

    /**
     * @param  array<int>  $paths by path
     * @return list<ContrastPair> the pairs of colours that one of the pages shows
     */
    private static function pairsOn(array $paths, ParsedSite $site): array
    {
        return array_values(array_filter(
            $site->fact(ContrastPairs::class)->pairs,
            fn (ContrastPair $pair) => array_filter(
                $pair->places,
                fn (array $place) => isset($paths[$place[0]->path()]),
            ) !== [],
        ));
    }

    /**
     * Where no stylesheet says otherwise a browser writes black on white (HTML Standard, 15.3.1), which can be read.
     *
     * @param  array<string, int>  $paths  of the pages that it is about
     */
    private function withoutColours(ParsedSite $site, array $paths): Assessment
    {
        $unknown = array_filter(
            array_merge(...array_values($site->fact(ContrastPairs::class)->unjudged)),
            fn (array $place) => isset($paths[$place[0]->path()]),
        );

        return $unknown === []
            ? Assessment::of(count($paths), [], 'the browser’s own colours', $this->wanted())
            : Assessment::notJudged('no colours that can be worked out', $this->wanted());
    }

    private function wanted(): string
    {
        return 'text that can be read against its background ('.($this->level === 'AAA' ? '7' : '4.5').':1)';
    }

    /** What is said of two colours that are too alike, here and in the rule; null if the site does not set them. */
    public static function draft(ContrastPair $pair, ParsedSite $site, string $level = 'AA'): ?Draft
    {
        $source = $site->fact(StyleSources::class)->writing($pair->cause);

        return $source === null ? null : Draft::inCss(
            $source,
            $pair->cause->span(),
            "contrast:{$pair->colour->hex()}:{$pair->background->hex()}",
        )
            ->says($pair->sentence($level))
            ->remedy($pair->remedy($level))
            ->related(...array_map(
                fn (array $place) => new Related($place[0]->file, $place[1]->place(), 'this text'),
                array_slice($pair->places, 0, self::MAX_RELATED),
            ));
    }

    private function tooLow(ContrastPair $pair, ParsedSite $site): ?Shortfall
    {
        $draft = self::draft($pair, $site, $this->level);
        if ($draft === null) {
            return null;
        }
        $isOfAttribute = $site->fact(StyleSources::class)->writing($pair->cause)?->isAttribute() === true;

        return Shortfall::of($draft->variant('low')->mark(ProofMark::Change))
            ->item("{$pair->colour->hex()} on {$pair->background->hex()} {$pair->cause->span()->start}")
            ->following($isOfAttribute ? self::attributes($pair) : self::sheetsLacking($pair, $site));
    }

    /** @return list<string> the `style` attributes around text, one of which sets the colour */
    private static function attributes(ContrastPair $pair): array
    {
        $slips = [];
        foreach ($pair->places as [$page, $text]) {
            for ($at = $text; $at instanceof Element; $at = $at->parent) {
                if ($at->value('style') !== null) {
                    $slips[] = SlipName::attribute($page, $at, 'style');
                }
            }
        }

        return $slips;
    }

    /**
     * Where every page with these colours lacks a stylesheet that others link, the colours may be those of half a
     * design: the link is the slip.
     *
     * @return list<string>
     */
    private static function sheetsLacking(ContrastPair $pair, ParsedSite $site): array
    {
        $slips = [];
        $pages = self::pagesOf($pair);
        foreach ($pages as $page) {
            $linked = array_map(fn (Reference $reference) => $reference->target->found, $page->stylesheets());
            $lacking = array_diff(array_map(strval(...), array_keys($site->sheets)), $linked);
            if ($lacking === []) {
                return [];
            }
            array_push(
                $slips,
                ...array_map(fn (string $sheet) => SlipName::way($page->path(), $sheet), array_values($lacking)),
            );
        }

        return $slips;
    }

    /** @return array<int, Page> */
    private static function pagesOf(ContrastPair $pair): array
    {
        $pages = [];
        foreach ($pair->places as [$page]) {
            $pages[spl_object_id($page)] = $page;
        }

        return $pages;
    }
}
