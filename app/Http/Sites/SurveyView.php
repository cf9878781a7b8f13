<?php

declare(strict_types=1);

namespace App\Http\Sites;

/**
 * The pages of a hand-in side by side, as SiteSurvey::of() in the core gives them. Of a large site the neighbourhood of
 * one page.
 *
 * @phpstan-import-type SurveyPage from \InkedMargin\Core\Report\SiteSurvey
 * @phpstan-import-type SurveyUsualMenu from \InkedMargin\Core\Report\SiteSurvey
 * @phpstan-import-type SurveyPattern from \InkedMargin\Core\Report\SiteSurvey
 * @phpstan-import-type SurveyLink from \InkedMargin\Core\Report\SiteSurvey
 * @phpstan-import-type SurveySheet from \InkedMargin\Core\Report\SheetSurvey
 * @phpstan-import-type SurveyContrast from \InkedMargin\Core\Report\SheetSurvey
 * @phpstan-import-type SurveyUnjudged from \InkedMargin\Core\Report\SheetSurvey
 * @phpstan-import-type SurveyUnusedName from \InkedMargin\Core\Report\SheetSurvey
 */
final readonly class SurveyView
{
    /** More pages than this are no picture; the neighbourhood of one page is. */
    public const MAX_PAGES = 60;

    /**
     * @param  list<SurveyPage>  $pages
     * @param  list<SurveyLink>  $links  between the pages that are shown, and to what is not there
     * @param  SurveyUsualMenu|null  $usualMenu
     * @param  SurveyPattern|null  $pattern
     * @param  list<string>  $all  the paths of all pages
     * @param  list<SurveySheet>  $sheets
     * @param  list<SurveyContrast>  $contrast
     * @param  list<SurveyUnjudged>  $unjudged
     * @param  list<SurveyUnusedName>  $unused
     * @param  string|null  $around  the page whose neighbours are shown; null when all pages are
     */
    private function __construct(
        public bool $ready,
        public array $pages,
        public array $links,
        public ?array $usualMenu,
        public ?array $pattern,
        public array $all,
        public ?string $around,
        public array $sheets,
        public array $contrast,
        public array $unjudged,
        public array $unused,
    ) {
    }

    /** While the check is not done. */
    public static function none(): self
    {
        return new self(false, [], [], null, null, [], null, [], [], [], []);
    }

    /** @param  array<string, mixed>  $survey */
    public static function of(array $survey, ?string $around): self
    {
        /**
         * @var array{pages: list<SurveyPage>, links: list<SurveyLink>, usualMenu: SurveyUsualMenu|null,
         *     pattern: SurveyPattern|null, sheets?: list<SurveySheet>, contrast?: list<SurveyContrast>,
         *     unjudged?: list<SurveyUnjudged>, unused?: list<SurveyUnusedName>} $survey
         */
        $all = array_column($survey['pages'], 'path');
        // A survey of an earlier version did not know of the states of links.
        $contrast = array_map(fn (array $pair) => $pair + ['when' => null], $survey['contrast'] ?? []);
        if (count($all) <= self::MAX_PAGES) {
            return new self(
                true,
                $survey['pages'],
                $survey['links'],
                $survey['usualMenu'],
                $survey['pattern'],
                $all,
                null,
                $survey['sheets'] ?? [],
                $contrast,
                $survey['unjudged'] ?? [],
                $survey['unused'] ?? [],
            );
        }
        $centre = $around !== null && in_array($around, $all, true) ? $around : $all[0];
        $near = self::near($centre, $survey['links'], array_fill_keys($all, true));
        $isShown = fn (array $link) => isset($near[$link['from']])
            && (isset($near[$link['to']]) || $link['from'] === $centre)
            && ($link['from'] === $centre || $link['to'] === $centre || $link['place'] !== 'menu');

        return new self(
            true,
            array_values(array_filter($survey['pages'], fn (array $page) => isset($near[$page['path']]))),
            array_values(array_filter($survey['links'], $isShown)),
            $survey['usualMenu'],
            null,
            $all,
            $centre,
            $survey['sheets'] ?? [],
            $contrast,
            $survey['unjudged'] ?? [],
            $survey['unused'] ?? [],
        );
    }

    /**
     * The page, what it links to and what links to it, as many as make a picture.
     *
     * @param  list<SurveyLink>  $links
     * @param  array<string, true>  $pages
     * @return array<string, true>
     */
    private static function near(string $centre, array $links, array $pages): array
    {
        $near = [$centre => true];
        foreach (['from' => 'to', 'to' => 'from'] as $side => $other) {
            foreach ($links as $link) {
                if (count($near) < self::MAX_PAGES && $link[$side] === $centre && isset($pages[$link[$other]])) {
                    $near[$link[$other]] = true;
                }
            }
        }

        return $near;
    }
}
