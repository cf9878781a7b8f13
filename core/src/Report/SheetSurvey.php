<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Styles\ContrastPair;
use InkedMargin\Core\Site\Styles\ContrastPairs;
use InkedMargin\Core\Site\Styles\Declarations;
use InkedMargin\Core\Site\Styles\MarkupNames;
use InkedMargin\Core\Site\Styles\RuleReach;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Site\Styles\UnusedNames;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Syntax\Declaration;

/**
 * What there is to see of a site's stylesheets, as plain data: every rule with what it reaches and what of it never
 * shows, and the colours of text with those behind them. Lines are 1-based.
 *
 * @phpstan-type SurveyRule array{selector: string, line: int, elements: int, pages: int, beaten: list<string>}
 * @phpstan-type SurveySheet array{path: string, line: int, pages: int, general: bool, rules: list<SurveyRule>,
 *     more: int}
 * @phpstan-type SurveyUnusedName array{name: string, elements: int, pages: int, path: string, line: int}
 * @phpstan-type SurveyUnjudged array{reason: string, sample: string, elements: int, path: string, line: int}
 * @phpstan-type SurveyContrast array{when: string|null, text: string, background: string, ratio: float, needed: float,
 *     enough: bool, sample: string, elements: int, path: string, line: int}
 */
final readonly class SheetSurvey
{
    /** Of a sheet; nobody looks at more, and a framework has thousands. */
    private const MAX_RULES = 300;

    private const MAX_PAIRS = 60;

    private const MAX_NAMES = 100;

    private function __construct(private ParsedSite $site, private RuleReach $reach, private SiteStyles $styles)
    {
    }

    /**
     * @return array{sheets: list<SurveySheet>, contrast: list<SurveyContrast>, unjudged: list<SurveyUnjudged>,
     *     unused: list<SurveyUnusedName>}
     */
    public static function of(ParsedSite $site): array
    {
        try {
            return self::whole($site);
        } catch (OverLimit) {
            // The check says of what there is too much.
            return ['sheets' => [], 'contrast' => [], 'unjudged' => [], 'unused' => []];
        }
    }

    /**
     * @return array{sheets: list<SurveySheet>, contrast: list<SurveyContrast>, unjudged: list<SurveyUnjudged>,
     *     unused: list<SurveyUnusedName>}
     *
     * @throws OverLimit
     */
    private static function whole(ParsedSite $site): array
    {
        $survey = new self($site, $site->fact(RuleReach::class), $site->fact(SiteStyles::class));
        $sources = array_filter(
            $site->fact(StyleSources::class)->all,
            fn (StyleSource $source) => ! $source->isAttribute(),
        );
        $pairs = self::pairs($site);

        return [
            'sheets' => array_values(array_map($survey->sheet(...), $sources)),
            'contrast' => array_values(array_filter(array_map(
                $survey->contrast(...),
                array_slice($pairs, 0, self::MAX_PAIRS),
            ))),
            'unjudged' => $survey->unjudged(),
            'unused' => $survey->unused(),
        ];
    }

    /** @return list<ContrastPair> those that are too low first, and the lowest first */
    private static function pairs(ParsedSite $site): array
    {
        $pairs = $site->fact(ContrastPairs::class)->pairs;
        usort(
            $pairs,
            fn (ContrastPair $a, ContrastPair $b) => [$a->isEnough(), $a->ratio] <=> [$b->isEnough(), $b->ratio],
        );

        return $pairs;
    }

    /** @return SurveySheet */
    private function sheet(StyleSource $source): array
    {
        $rules = array_values(array_filter($source->rules(), fn (StyleRule $rule) => $rule->selector !== null));
        $linking = $this->linking($source);

        return [
            'path' => $source->path(),
            'line' => $source->style === null
                ? 1
                : $source->file->position($source->style->element->place()->start)->line,
            'pages' => $linking,
            'general' => $this->reach->isGeneral($source->path()),
            'rules' => array_map(
                fn (StyleRule $rule) => $this->rule($rule, $source),
                array_slice($rules, 0, self::MAX_RULES),
            ),
            'more' => max(0, count($rules) - self::MAX_RULES),
        ];
    }

    /** How many pages link the sheet */
    private function linking(StyleSource $source): int
    {
        $linking = 0;
        foreach ($this->site->pages as $page) {
            foreach ($this->styles->rulesOf($page) as $rule) {
                if ($rule->sheet === $source->path() && $rule->written->tokens === $source->css->tokens) {
                    $linking++;

                    break;
                }
            }
        }

        return $linking;
    }

    /** @return SurveyRule */
    private function rule(StyleRule $rule, StyleSource $source): array
    {
        $places = $this->reach->elements($rule);
        $pages = array_unique(array_map(fn (array $place) => $place[0]->path(), $places));
        $beaten = array_filter(
            iterator_to_array(Declarations::ofPages($rule->declarations), false),
            fn (Declaration $declaration) => $this->isBeaten($declaration),
        );

        return [
            'selector' => English::excerpt($rule->written->prelude(), 80),
            'line' => $source->file->position($rule->written->preludeSpan()->start)->line,
            'elements' => count($places),
            'pages' => count($pages),
            'beaten' => array_values(array_map(
                fn (Declaration $one) => "$one->name: ".English::excerpt($one->value(), 40),
                $beaten,
            )),
        ];
    }

    /** Whether it counts for some element and wins for none, on whichever page. */
    private function isBeaten(Declaration $declaration): bool
    {
        $counts = false;
        foreach ($this->site->pages as $page) {
            if ($this->styles->rulesOf($page) === []) {
                continue;
            }
            $this->styles->cascadeOf($page);
            $decisions = $this->styles->decisionsOn($page);
            if ($decisions->wins($declaration)) {
                return false;
            }
            $counts = $counts || $decisions->counts($declaration);
        }

        return $counts;
    }

    /** @return list<SurveyUnjudged> */
    private function unjudged(): array
    {
        $rows = [];
        foreach ($this->site->fact(ContrastPairs::class)->unjudged as $reason => $places) {
            $rows[] = [
                'reason' => $reason, 'sample' => self::sample($places), 'elements' => count($places),
                ...self::firstOf($places),
            ];
        }

        return $rows;
    }

    /** @return list<SurveyUnusedName> */
    private function unused(): array
    {
        $names = $this->site->fact(MarkupNames::class);
        $rows = [];
        foreach (array_slice($this->site->fact(UnusedNames::class)->names, 0, self::MAX_NAMES) as $name) {
            $places = $names->placesOf($name);
            $pages = array_unique(array_map(fn (array $place) => $place[0]->path(), $places));
            $rows[] = [
                'name' => $name, 'elements' => count($places), 'pages' => count($pages), ...self::firstOf($places),
            ];
        }

        return $rows;
    }

    /**
     * @param  list<array{Page, Element}>  $places
     * @return array{path: string, line: int}
     */
    private static function firstOf(array $places): array
    {
        [$page, $element] = $places[0] ?? throw new \LogicException('There is no such place.');

        return ['path' => $page->path(), 'line' => $page->file->position($element->place()->start)->line];
    }

    /** @return SurveyContrast|null null where nobody can tell where it is written */
    private function contrast(ContrastPair $pair): ?array
    {
        $source = $this->site->fact(StyleSources::class)->writing($pair->cause);

        return $source === null ? null : [
            'when' => $pair->state?->value,
            'text' => $pair->colour->hex(),
            'background' => $pair->background->hex(),
            'ratio' => floor(100 * $pair->ratio) / 100,
            'needed' => $pair->needed,
            'enough' => $pair->isEnough(),
            'sample' => self::sample($pair->places),
            'elements' => count($pair->places),
            'path' => $source->path(),
            'line' => $source->file->position($source->place($pair->cause->span())->start)->line,
        ];
    }

    /** @param  list<array{Page, Element}>  $places */
    private static function sample(array $places): string
    {
        return $places === [] ? '' : English::excerpt($places[0][1]->words(200), 40);
    }
}
