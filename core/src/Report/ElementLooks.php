<?php

declare(strict_types=1);

namespace InkedMargin\Core\Report;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Styles\ContrastPairs;
use InkedMargin\Core\Site\Styles\SiteStyles;
use InkedMargin\Core\Site\Styles\StyleSources;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Style\Cascade\Applied;
use InkedMargin\Core\Style\Cascade\Cascade;
use InkedMargin\Core\Style\Cascade\ComputedStyle;
use InkedMargin\Core\Style\Cascade\Origin;
use InkedMargin\Core\Style\Syntax\Declaration;

/**
 * What one element of a page looks like when nobody touches it, and where each of it was decided: what won, and what
 * lost. Lines are 1-based.
 *
 * @phpstan-type DeclarationPlace array{value: string, path: string, line: int, selector: string}
 * @phpstan-type ElementLook array{name: string, value: string, colour: string|null, from: DeclarationPlace|null,
 *     inherited: string|null, lost: list<DeclarationPlace>}
 * @phpstan-type ElementStep array{at: string, tag: string}
 * @phpstan-type ElementLooksView array{at: string, tag: string, line: int, around: ElementStep|null,
 *     inside: ElementStep|null, before: ElementStep|null, after: ElementStep|null, looks: list<ElementLook>,
 *     contrast: string|null}
 */
final readonly class ElementLooks
{
    /** What is always told, and what only where the site says something about it. */
    private const NAMES = [
        'color' => ['Text colour', true], 'background-color' => ['Background', true], 'font-family' => ['Font', true],
        'font-size' => ['Size', true], 'font-weight' => ['Weight', true], 'text-align' => ['Alignment', false],
        'text-decoration-line' => ['Line on the text', false], 'list-style-type' => ['Sign of the list', false],
        'display' => ['Laid out as', false], 'width' => ['Width', false], 'float' => ['Floats', false],
        'position' => ['Position', false], 'background-image' => ['Picture behind', false],
        'visibility' => ['Visibility', false],
    ];

    private function __construct(private Page $page, private Cascade $cascade, private StyleSources $sources)
    {
    }

    /**
     * @param  string  $at  the way to it from the root: places among the elements of one parent from 0, with dots, such
     *     as `1.0.2`; '' for the root
     * @return ElementLooksView|null null where the page, or such an element, is not there
     */
    public static function of(ParsedSite $site, string $path, string $at): ?array
    {
        $page = $site->pages[$path] ?? null;
        $element = $page === null ? null : ElementPlace::find($page, $at);
        if ($page === null || $element === null) {
            return null;
        }
        $styles = $site->fact(SiteStyles::class);
        $looks = new self($page, $styles->cascadeOf($page), $site->fact(StyleSources::class));

        return [
            'at' => $at,
            'tag' => self::tag($element),
            'line' => $page->file->position($element->place()->start)->line,
            ...self::steps($element, $at),
            'looks' => $looks->all($element, $styles->computedOf($page)[spl_object_id($element)]),
            'contrast' => self::contrast($site->fact(ContrastPairs::class), $element),
        ];
    }

    /**
     * @return array{around: ElementStep|null, inside: ElementStep|null, before: ElementStep|null,
     *     after: ElementStep|null}
     */
    private static function steps(Element $element, string $at): array
    {
        $parent = $element->parent;
        $way = $at === '' ? [] : explode('.', $at);
        $place = (int) array_pop($way);
        $siblings = $parent?->elements() ?? [];
        $step = fn (?Element $to, string ...$way) => $to === null
            ? null
            : ['at' => implode('.', $way), 'tag' => self::tag($to)];

        return [
            'around' => $step($parent, ...$way),
            'inside' => $step($element->elements()[0] ?? null, ...($at === '' ? [] : explode('.', $at)), ...['0']),
            'before' => $step($siblings[$place - 1] ?? null, ...$way, ...[(string) ($place - 1)]),
            'after' => $step($siblings[$place + 1] ?? null, ...$way, ...[(string) ($place + 1)]),
        ];
    }

    /** A start tag as short as it can be told. */
    private static function tag(Element $element): string
    {
        $id = $element->value('id');
        $class = $element->value('class');

        return "<$element->name".($id === null ? '' : ' id="'.English::excerpt($id, 20).'"')
            .($class === null ? '' : ' class="'.English::excerpt($class, 30).'"').'>';
    }

    /** @return list<ElementLook> */
    private function all(Element $element, ComputedStyle $style): array
    {
        $looks = [];
        foreach (self::NAMES as $property => [$name, $isAlwaysTold]) {
            [$holder, $said] = $this->saidOf($element, $property);
            $winner = $said[0] ?? null;
            $isAuthors = $winner !== null && self::isOf($winner, Origin::Author, Origin::Hint);
            $isIdle = $property === 'list-style-type' && $style->display !== 'list-item';
            if ($isIdle || (! $isAlwaysTold && ! $isAuthors)) {
                continue;
            }
            $looks[] = [
                'name' => $name,
                'value' => self::value($property, $style, $winner),
                'colour' => match ($property) {
                    'color' => $style->color?->hex(),
                    'background-color' => $style->background?->alpha > 0 ? $style->background->hex() : null,
                    default => null,
                },
                'from' => $winner !== null && $isAuthors ? $this->said($winner, $holder) : null,
                'inherited' => $isAuthors && $holder !== $element ? self::tag($holder) : null,
                'lost' => $isAuthors ? array_map(
                    fn (Applied $one) => $this->said($one, $holder),
                    array_values(array_filter(
                        array_slice($said, 1),
                        fn (Applied $one) => self::isOf($one, Origin::Author, Origin::Hint),
                    )),
                ) : [],
            ];
        }

        return $looks;
    }

    /**
     * @return array{Element, list<Applied>} what is said of a property, and of which element: what is around it, where
     *     it inherits
     */
    private function saidOf(Element $element, string $property): array
    {
        $isInherited = in_array($property, ComputedStyle::INHERITED, true);
        for ($around = $element; $around instanceof Element; $around = $around->parent) {
            $said = $this->cascade->of($around, $property);
            $inherits = in_array($said[0]->items[0]->text ?? '', ['inherit', 'unset'], true) && $isInherited;
            if (($said !== [] && ! $inherits) || (! $isInherited && $said === [])) {
                return [$around, $said];
            }
        }

        return [$element, []];
    }

    private static function isOf(Applied $applied, Origin ...$origins): bool
    {
        return in_array($applied->origin(), $origins, true);
    }

    private static function value(string $property, ComputedStyle $style, ?Applied $winner): string
    {
        return match ($property) {
            'color' => $style->color?->hex() ?? 'not worked out',
            'background-color' => self::backgroundColour($style),
            'font-family' => $winner?->declaration?->name === 'font-family'
                ? $winner->declaration->value()
                : str_replace(' ,', ',', $style->fontFamily),
            'font-size' => round($style->fontSize, 2).' px',
            'font-weight' => (string) $style->fontWeight,
            'text-align' => $style->textAlign,
            'text-decoration-line' => $style->textDecoration,
            'list-style-type' => $style->listStyle,
            'display' => $style->display,
            'width' => $style->width,
            'visibility' => $style->visibility,
            default => implode(' ', array_map(fn ($item) => $item->text, $winner->items ?? [])),
        };
    }

    private static function backgroundColour(ComputedStyle $style): string
    {
        return match (true) {
            $style->background === null => 'not worked out',
            $style->background->alpha <= 0 => 'none of its own',
            default => $style->background->hex(),
        };
    }

    /** @return DeclarationPlace */
    private function said(Applied $applied, Element $element): array
    {
        $declaration = $applied->declaration;
        $value = $declaration === null ? '' : "$declaration->name: ".English::excerpt($declaration->value(), 60);
        [$path, $line] = $this->place($declaration) ?? [
            $this->page->path(), $this->page->file->position($element->place()->start)->line,
        ];

        return [
            'value' => $value.($declaration?->important === true ? ' !important' : ''),
            'path' => $path,
            'line' => $line,
            'selector' => match (true) {
                $applied->rule !== null => English::excerpt($applied->rule->written->prelude(), 60),
                self::isOf($applied, Origin::Hint) => 'an attribute',
                default => 'its `style`',
            },
        ];
    }

    /** @return array{string, int}|null */
    private function place(?Declaration $declaration): ?array
    {
        $source = $declaration === null ? null : $this->sources->writing($declaration);

        return $source === null ? null : [
            $source->path(),
            $source->file->position($source->place($declaration->span())->start)->line,
        ];
    }

    /** How well its own text can be read; null where it has none, or only the browser has a say. */
    private static function contrast(ContrastPairs $pairs, Element $element): ?string
    {
        $isIt = fn (array $place) => $place[1] === $element;
        foreach ($pairs->pairs as $pair) {
            if ($pair->state === null && array_filter($pair->places, $isIt) !== []) {
                return floor(100 * $pair->ratio) / 100 .":1 against {$pair->background->hex()}, "
                    .($pair->isEnough() ? "enough ($pair->needed:1)" : "and $pair->needed:1 is needed");
            }
        }
        foreach ($pairs->unjudged as $reason => $places) {
            if (array_filter($places, $isIt) !== []) {
                return "not judged, as $reason";
            }
        }

        return null;
    }
}
