<?php

declare(strict_types=1);

namespace App\Http\Sites;

use OpenApi\Attributes as OA;

/**
 * The pages of a hand-in side by side, as SiteSurvey::of() in the core gives them. Of a large site the neighbourhood of
 * one page.
 *
 * @phpstan-import-type PageRow from \InkedMargin\Core\Report\SiteSurvey
 * @phpstan-import-type LinkRow from \InkedMargin\Core\Report\SiteSurvey
 * @phpstan-import-type SheetRow from \InkedMargin\Core\Report\SheetSurvey
 * @phpstan-import-type ContrastRow from \InkedMargin\Core\Report\SheetSurvey
 * @phpstan-import-type UnjudgedRow from \InkedMargin\Core\Report\SheetSurvey
 * @phpstan-import-type NameRow from \InkedMargin\Core\Report\SheetSurvey
 */
#[OA\Schema]
final readonly class SurveyView
{
    /** More pages than this are no picture; the neighbourhood of one page is. */
    public const MOST_PAGES = 60;

    /**
     * @param  list<PageRow>  $pages
     * @param  list<LinkRow>  $links  between the pages that are shown, and to what is not there
     * @param  array<string, mixed>|null  $usualMenu
     * @param  array<string, mixed>|null  $pattern
     * @param  list<string>  $all  the paths of all pages
     * @param  list<SheetRow>  $sheets
     * @param  list<ContrastRow>  $contrast
     * @param  list<UnjudgedRow>  $unjudged
     * @param  list<NameRow>  $unused
     * @param  string|null  $around  the page whose neighbours are shown; null when all pages are
     */
    private function __construct(
        #[OA\Property]
        public bool $ready,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SurveyPage::class))]
        public array $pages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SurveyLink::class))]
        public array $links,
        #[OA\Property(type: 'object', oneOf: [new OA\Schema(ref: SurveyUsualMenu::class), new OA\Schema(type: 'null')])]
        public ?array $usualMenu,
        #[OA\Property(type: 'object', oneOf: [new OA\Schema(ref: SurveyPattern::class), new OA\Schema(type: 'null')])]
        public ?array $pattern,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $all,
        #[OA\Property]
        public ?string $around,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SurveySheet::class))]
        public array $sheets,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SurveyContrast::class))]
        public array $contrast,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SurveyUnjudged::class))]
        public array $unjudged,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SurveyUnusedName::class))]
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
         * @var array{pages: list<PageRow>, links: list<LinkRow>, usualMenu: array<string, mixed>|null,
         *     pattern: array<string, mixed>|null, sheets?: list<SheetRow>, contrast?: list<ContrastRow>,
         *     unjudged?: list<UnjudgedRow>, unused?: list<NameRow>} $survey
         */
        $all = array_column($survey['pages'], 'path');
        // A survey of an earlier version did not know of the states of links.
        $contrast = array_map(fn (array $pair) => $pair + ['when' => null], $survey['contrast'] ?? []);
        if (count($all) <= self::MOST_PAGES) {
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
     * @param  list<LinkRow>  $links
     * @param  array<string, true>  $pages
     * @return array<string, true>
     */
    private static function near(string $centre, array $links, array $pages): array
    {
        $near = [$centre => true];
        foreach (['from' => 'to', 'to' => 'from'] as $side => $other) {
            foreach ($links as $link) {
                if (count($near) < self::MOST_PAGES && $link[$side] === $centre && isset($pages[$link[$other]])) {
                    $near[$link[$other]] = true;
                }
            }
        }

        return $near;
    }
}
