<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Portions;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\OutlineEntry;
use InkedMargin\Core\Site\Menu\MenuSurvey;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Pattern\PatternKind;
use InkedMargin\Core\Site\Pattern\PatternRecognition;
use InkedMargin\Core\Source\FileKind;
use Symfony\Component\Yaml\Yaml;

/**
 * A first brief for work like a model answer: what its pages have in common, each as a requirement to keep or to
 * strike. What the model itself does not meet is not proposed.
 */
final readonly class Proposal
{
    /** With more files than this, only pages and stylesheets are named. */
    private const MAX_FILES = 40;

    private const MAX_COUNTED = 200;

    /** Points that are shared out at once. */
    private const STEP = 0.5;

    /** Elements that a brief of this kind likes to see used somewhere. */
    private const WORTH_USING = ['ul', 'ol', 'dl', 'table', 'figure', 'blockquote', 'form'];

    /** @param  non-empty-list<Page>  $pages */
    private function __construct(private ParsedSite $site, private array $pages)
    {
    }

    /**
     * @param  float|null  $total  points that the requirements add up to, in halves; null for those of each kind
     *
     * @throws BriefError when there is no page to propose anything from
     */
    public static function from(ParsedSite $model, string $title, ?float $total = null): Brief
    {
        $pages = array_values($model->pages);
        if ($pages === []) {
            throw new BriefError(['there is no page in the model answer to propose a brief from']);
        }
        $proposal = new self($model, $pages);
        $met = array_filter($proposal->all(), fn (array $values) => $proposal->isMet($values));

        return self::brief($title, self::scaled($proposal->metTogether(array_values($met)), $total));
    }

    /**
     * @param  list<array<string, mixed>>  $requirements
     * @return list<array<string, mixed>>
     */
    private static function scaled(array $requirements, ?float $total): array
    {
        if ($total === null) {
            return $requirements;
        }
        $weights = array_map(
            fn (array $one) => is_numeric($one['points'] ?? null) ? (float) $one['points'] : 0.0,
            $requirements,
        );
        $points = Portions::of($total, $weights, self::STEP);

        return array_map(fn (array $one, float $new) => ['points' => $new] + $one, $requirements, $points);
    }

    /**
     * Together they may need pages that the model does not have, such as a home page.
     *
     * @param  list<array<string, mixed>>  $requirements
     * @return list<array<string, mixed>>
     */
    private function metTogether(array $requirements): array
    {
        $brief = self::brief('T', $requirements);
        $exam = new Examination($this->site, $brief);
        $isMet = fn (int $at) => $requirements[$at]['kind'] === 'look'
            || $exam->assessment($brief->requirements[$at])->met() === 1.0;

        return array_values(array_filter($requirements, $isMet, ARRAY_FILTER_USE_KEY));
    }

    /** @param  array<string, mixed>  $values */
    private function isMet(array $values): bool
    {
        try {
            $requirement = self::brief('T', [$values])->requirements[0];
        } catch (BriefError) {
            // A name on the model's pages that no brief can hold.
            return false;
        }

        return $values['kind'] === 'look' || $requirement->assess($this->site)->met() === 1.0;
    }

    /** @param  list<array<string, mixed>>  $requirements */
    private static function brief(string $title, array $requirements): Brief
    {
        return BriefReader::read(Yaml::dump(['title' => $title, 'requirements' => $requirements], 4, 2));
    }

    /** @return list<array<string, mixed>> */
    private function all(): array
    {
        return array_values(array_filter([
            $this->files(),
            $this->titles(),
            $this->headings(),
            $this->parts(),
            $this->sheets(),
            ...$this->navigation(),
            $this->pictures(),
            $this->kinds(),
            ...$this->tables(),
            ...$this->outsideLinks(),
            ['id' => 'contrast', 'kind' => 'contrast', 'title' => 'Text that can be read', 'points' => 3],
            ['id' => 'indentation', 'kind' => 'indentation', 'title' => 'Indented markup', 'points' => 3],
            [
                'id' => 'look',
                'kind' => 'look',
                'title' => 'Well laid out',
                'points' => 5,
                'question' => 'Is it well laid out?',
            ],
        ]));
    }

    /** @return array<string, mixed> */
    private function files(): array
    {
        // A page that cannot be read is none to ask for.
        $paths = array_values(array_filter(
            $this->site->files->ownPaths(),
            fn (string $path) => isset($this->site->pages[$path])
                || FileKind::ofPath($path) !== FileKind::Page,
        ));
        if (count($paths) > self::MAX_FILES) {
            $paths = [
                ...array_map(fn (Page $page) => $page->path(), $this->pages),
                ...array_map(strval(...), array_keys($this->site->sheets)),
            ];
        }

        return [
            'id' => 'files', 'kind' => 'files', 'title' => 'The files are there', 'points' => min(20, count($paths)),
            'names' => $paths,
        ];
    }

    /** @return array<string, mixed> */
    private function titles(): array
    {
        $titles = array_map(fn (Page $page) => $page->titleText(), $this->pages);
        $form = self::commonForm($titles);

        return [
            'id' => 'titles', 'kind' => 'titles', 'title' => 'Titles', 'points' => 4,
            ...($form === null ? [] : ['pattern' => $form]),
            ...(count(array_unique(
                array_map(mb_strtolower(...), $titles),
            )) === count($titles) ? [] : ['differ' => false]),
        ];
    }

    /**
     * What all titles begin or end with, up to a sign between words, with a star for the rest.
     *
     * @param  list<string>  $titles
     */
    private static function commonForm(array $titles): ?string
    {
        if (count($titles) < 2 || in_array('', $titles, true)) {
            return null;
        }
        foreach ([
            '/^.+? [-–—|:·] |^.+?: /u' => true,
            '/ [-–—|:·] (?:(?! [-–—|:·] ).)+$/u' => false,
        ] as $pattern => $isFirst) {
            $found = array_map(
                fn (string $title) => preg_match($pattern, $title, $part) === 1 ? $part[0] : '',
                $titles,
            );
            if ($found[0] !== '' && count(array_unique($found)) === 1 && ! str_contains($found[0], '*')) {
                return $isFirst ? "$found[0]*" : "*$found[0]";
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    private function headings(): array
    {
        $differ = $this->headingsDiffer();
        $inside = array_values(array_filter(
            $this->commonParts(),
            fn (string $name) => array_filter(
                $this->pages,
                fn (Page $page) => ! self::holdsHeading($page, $name),
            ) === [],
        ))[0] ?? null;

        return [
            'id' => 'headings', 'kind' => 'headings', 'title' => 'A main heading on every page', 'points' => 4,
            ...($differ ? ['differ' => true] : []),
            ...($inside === null ? [] : ['inside' => $inside]),
        ];
    }

    private function headingsDiffer(): bool
    {
        $first = fn (Page $page) => array_slice($page->named('h1'), 0, 1);
        $texts = array_map(
            fn (Page $page) => implode(
                '',
                array_map(fn (Element $heading) => mb_strtolower($heading->words()), $first($page)),
            ),
            $this->pages,
        );

        return count($texts) > 1 && count(array_unique($texts)) === count($texts);
    }

    /** @return array<string, mixed>|null the parts that all pages have, in their order */
    private function parts(): ?array
    {
        $common = $this->commonParts();
        if ($common === []) {
            return null;
        }

        return [
            'id' => 'parts', 'kind' => 'skeleton', 'title' => 'The parts of every page', 'points' => 5,
            'parts' => $common,
        ];
    }

    /** @return list<string> the parts that all pages have, in their order */
    private function commonParts(): array
    {
        $common = null;
        foreach ($this->pages as $page) {
            $outer = array_values(
                array_filter($page->outline->parts(), fn (OutlineEntry $entry) => $entry->inside === null),
            );
            $names = array_map(fn (OutlineEntry $entry) => self::nameOf($entry->element), $outer);
            $common = $common === null
                ? $names
                : array_values(array_filter($common, fn (string $name) => in_array($name, $names, true)));
        }

        return array_values(array_unique($common));
    }

    private static function nameOf(Element $element): string
    {
        $id = $element->value('id') ?? '';

        return in_array($element->name, ['div', 'section'], true) && preg_match('/^[A-Za-z][\w-]*$/', $id) === 1
            ? "$element->name#$id"
            : $element->name;
    }

    private static function holdsHeading(Page $page, string $name): bool
    {
        foreach ($page->named('h1') as $heading) {
            for ($around = $heading->parent; $around instanceof Element; $around = $around->parent) {
                if (self::nameOf($around) === $name) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array<string, mixed>|null the sheets that all pages link, in their order */
    private function sheets(): ?array
    {
        $common = null;
        foreach ($this->pages as $page) {
            $linked = array_values(
                array_filter(array_map(fn ($reference) => $reference->target->found, $page->stylesheets())),
            );
            $common = $common === null ? $linked : array_values(array_intersect($common, $linked));
        }

        return $common === [] ? null : [
            'id' => 'sheets', 'kind' => 'stylesheets', 'title' => 'Stylesheets on every page', 'points' => 5,
            'sheets' => array_values(array_unique($common)),
        ];
    }

    /** @return list<array<string, mixed>> the pattern that is plain, and the menu */
    private function navigation(): array
    {
        $kind = $this->site->fact(PatternRecognition::class)->match?->kind;
        $pattern = $this->pattern($kind);
        $menu = $this->menu();
        // A menu of all pages is the pattern: asking for both would count a slip in it twice.
        $isMenu = $kind === PatternKind::Menu && $menu !== null;

        return array_values(array_filter([$isMenu ? null : $pattern, $menu]));
    }

    /** @return array<string, mixed>|null the pattern that the pages keep */
    private function pattern(?PatternKind $kind): ?array
    {
        $named = [
            'id' => 'navigation',
            'kind' => 'navigation',
            'title' => 'The pages link to each other',
            'points' => 10,
        ];
        $found = match ($kind) {
            null => [],
            PatternKind::Branching => array_map(
                fn (int $choices) => [...$named, 'pattern' => $kind->value, 'choices' => $choices],
                [2, 3, 4],
            ),
            default => [[...$named, 'pattern' => $kind->value]],
        };

        return array_values(array_filter($found, $this->isMet(...)))[0] ?? null;
    }

    /** @return array<string, mixed>|null */
    private function menu(): ?array
    {
        $usual = $this->site->fact(MenuSurvey::class)->usual;
        $entries = [];
        foreach ($usual->entries ?? [] as $page => $label) {
            if ($label !== null && isset($this->site->pages[$page])) {
                $entries[] = [$page => $label];
            }
        }

        return count($entries) < 2 ? null : [
            'id' => 'menu', 'kind' => 'navigation', 'title' => 'The same menu on every page', 'points' => 8,
            'menu' => $entries,
        ];
    }

    /** @return array<string, mixed>|null */
    private function pictures(): ?array
    {
        $counts = array_map(fn (Page $page) => count($page->named('img')), $this->pages);
        $least = min($counts);

        return $least === 0 ? null : [
            'id' => 'pictures', 'kind' => 'pictures', 'title' => 'Pictures with alt text', 'points' => 5,
            'at_least' => $least,
        ];
    }

    /** @return array<string, mixed>|null */
    private function kinds(): ?array
    {
        // Where the cells of a table are counted, it is asked for already.
        $worth = $this->tables() === [] ? self::WORTH_USING : array_values(array_diff(self::WORTH_USING, ['table']));
        $used = array_values(array_filter(
            $worth,
            fn (string $name) => array_filter($this->pages, fn (Page $page) => $page->named($name) !== []) !== [],
        ));

        return $used === [] ? null : [
            'id' => 'elements', 'kind' => 'count', 'title' => 'Elements that are used', 'points' => count($used),
            'each_of' => $used,
        ];
    }

    /** @return list<array<string, mixed>> how many cells the tables have, page by page */
    private function tables(): array
    {
        $found = [];
        foreach ($this->pages as $page) {
            $cells = count($page->named('td'));
            if ($cells > 0 && $cells <= self::MAX_COUNTED) {
                $found[] = [
                    'id' => 'cells-'.(count($found) + 1), 'kind' => 'count',
                    'title' => "Cells of the table on {$page->path()}",
                    'points' => 2, 'pages' => [$page->path()], 'selector' => 'td', 'exactly' => $cells,
                ];
            }
        }

        return array_slice($found, 0, 10);
    }

    /** @return list<array<string, mixed>> */
    private function outsideLinks(): array
    {
        $found = [];
        foreach ($this->pages as $page) {
            foreach ($page->references as $reference) {
                $address = $reference->element?->name === 'a' ? $reference->target->address : null;
                if ($address !== null && preg_match('~^https?://~', $address) === 1) {
                    $found[$address] ??= [
                        'id' => 'link-'.(count($found) + 1), 'kind' => 'link', 'title' => 'A link to another site',
                        'points' => 1,
                        'pages' => [$page->path()], 'to' => $address,
                    ];
                }
            }
        }

        return array_slice(array_values($found), 0, 5);
    }
}
