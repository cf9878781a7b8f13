<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\FieldType;
use InkedMargin\Core\Brief\Requirement\Glob;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\Problems;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Style\Selector\SelectorError;
use InkedMargin\Core\Style\Selector\SelectorList;
use InkedMargin\Core\Style\Selector\TypeSelector;
use InkedMargin\Core\Style\Value\Definitions;

/**
 * What a brief can say and nobody can mean: rules, elements and properties that there are not, numbers that exclude
 * each other. Only asked of a brief that is being written; one that is in use stays as it is.
 */
final readonly class Objections
{
    /** Elements of SVG and MathML that pages may have (SVG 2; from memory). */
    private const DRAWN = [
        'svg', 'path', 'circle', 'rect', 'line', 'polygon', 'polyline', 'ellipse', 'g', 'use', 'math',
    ];

    /** A function with a combinator or another function in it: nobody can say that in a sentence. */
    private const HARD = '/:(?:not|has|is|where)\((?:[^)]*[+>~(]|\s*[^\s,)]+\s+[^\s,)])/i';

    /** @param  Materials|null  $materials  what the assignment gives; null where that is not known */
    private function __construct(private Problems $problems, private ?Materials $materials)
    {
    }

    /**
     * @param  array<mixed>  $values  of the whole brief, as they were written
     * @param  Materials|null  $materials  what the assignment gives; null where that is not known
     */
    public static function raise(array $values, Problems $problems, ?Materials $materials = null): void
    {
        $objections = new self($problems, $materials);
        $known = self::pagesNamed($values, $materials);
        foreach (self::listIn($values, 'ignore') as $index => $item) {
            $rules = is_array($item) ? $item['rules'] ?? [] : $item;
            $objections->rules('ignore.'.($index + 1), self::texts($rules));
        }
        foreach (self::listIn($values, 'requirements') as $index => $one) {
            if (is_array($one)) {
                $objections->requirement('requirements.'.($index + 1), $one);
                $objections->pageNames('requirements.'.($index + 1), $one['pages'] ?? null, $known);
            }
        }
    }

    /** @param  array<mixed>  $values */
    private function requirement(string $where, array $values): void
    {
        $named = $values['kind'] ?? null;
        $kind = is_string($named) ? Kinds::named($named) : null;
        if ($named === 'markup') {
            $this->rules($where, self::texts($values['rules'] ?? []));
        }
        foreach ($kind === null ? [] : $kind::fields() as $field) {
            foreach (self::selectorsIn($field, $values[$field->name] ?? null) as $selector) {
                $this->elements($where, $field->name, $selector);
            }
        }
        foreach (self::texts($values['uses'] ?? []) as $use) {
            $this->styleUse($where, $use);
        }
        $this->hardSelectors($where, $values);
        $this->given($where, $values);
        $this->paths($where, $values);
        $this->numbers($where, $values);
        $this->pages($where, $values['pages'] ?? null);
        $this->address($where, $named === 'link' ? $values['to'] ?? null : null);
    }

    /** @param  list<string>  $names */
    private function rules(string $where, array $names): void
    {
        $known = RuleNames::all();
        foreach ($names as $name) {
            $isKnown = in_array($name, $known, true)
                || in_array($name, array_map(fn (string $id) => explode('/', $id)[0], $known), true)
                || in_array(explode(':', $name)[0], $known, true);
            if (! $isKnown) {
                $this->say($where, 'rules', "there is no rule \"$name\"", NearestName::of($name, $known));
            }
        }
    }

    private function elements(string $where, string $field, string $written): void
    {
        try {
            $list = SelectorList::parse($written);
        } catch (SelectorError) {
            return;
        }
        foreach ($list->alternatives as $selector) {
            foreach ($selector->compounds as $compound) {
                foreach ($compound->parts as $part) {
                    if ($part instanceof TypeSelector && ! self::isElement($part->name ?? '*')) {
                        $meant = NearestName::of((string) $part->name, ElementTable::load()->current());
                        $this->say($where, $field, "there is no element `$part->name`", $meant);
                    }
                }
            }
        }
    }

    private static function isElement(string $name): bool
    {
        $lower = strtolower($name);

        return $name === '*'
            || str_contains($name, '-')
            || ElementTable::load()->knows($lower)
            || in_array($lower, self::DRAWN, true);
    }

    private function styleUse(string $where, string $use): void
    {
        preg_match('/^(?:[^{}]+\{)?\s*([a-z-]+)\s*(?::[^{}]*)?\}?$/i', trim($use), $parts);
        $name = strtolower($parts[1] ?? '');
        if ($name !== '' && ! Definitions::isProperty($name) && ! self::isElement($name)) {
            $meant = NearestName::of($name, Definitions::names());
            $this->say($where, 'uses', "\"$name\" is neither a property nor an element", $meant);
        }
    }

    /**
     * A count of what no sentence can name says nothing to a student.
     *
     * @param  array<mixed>  $values
     */
    private function hardSelectors(string $where, array $values): void
    {
        $selector = $values['selector'] ?? null;
        $isHard = ($values['kind'] ?? null) === 'count' && is_string($selector)
            && preg_match(self::HARD, $selector) === 1;
        if ($isHard && ! is_string($values['message'] ?? null)) {
            $this->problems->add(
                $where,
                'selector',
                'this selector cannot be said in a sentence: write in "message" what the student has to do',
            );
        }
    }

    /**
     * Paths and hosts that nothing can ever match: a path begins at the root of the site and has slashes, a host is a
     * name and no address.
     *
     * @param  array<mixed>  $values
     */
    private function paths(string $where, array $values): void
    {
        $order = is_array($values['menu'] ?? null) ? [] : self::texts($values['order'] ?? []);
        $pages = is_array($values['pages'] ?? null) && isset($values['pages']['not'])
            ? $values['pages']['not']
            : $values['pages'] ?? [];
        $named = [
            'names' => self::texts($values['names'] ?? []),
            'sheets' => self::texts($values['sheets'] ?? []),
            'order' => $order,
            'pages' => self::texts($pages),
        ];
        foreach ($named as $field => $paths) {
            foreach ($paths as $path) {
                $meant = preg_replace('~^(?:\./|/)+~', '', strtr($path, ['\\' => '/'])) ?? $path;
                $meant = preg_replace('~(?<!:)//+~', '/', $meant) ?? $meant;
                if ($meant !== $path) {
                    $this->say($where, $field, "no path of a site can be \"$path\"", $meant);
                }
            }
        }
        $host = $values['host'] ?? null;
        if (is_string($host) && preg_match('~^(?:[a-z][a-z0-9+.-]*:)?//([^/]+)|^([^/]+)/~i', $host, $parts) === 1) {
            $name = $parts[1] !== '' ? $parts[1] : $parts[2];
            $this->say($where, 'host', 'a host is a name, without its scheme and path', $name);
        }
    }

    /**
     * Files that the requirement is held against, and that the assignment does not have.
     *
     * @param  array<mixed>  $values
     */
    private function given(string $where, array $values): void
    {
        $has = $this->materials;
        if ($has === null) {
            return;
        }
        $kind = $values['kind'] ?? null;
        $copy = $values['copy'] ?? null;
        if ($kind === 'text' && is_string($copy) && $has->copy($copy) === null) {
            $texts = $has->copy?->paths() ?? [];
            $this->say($where, 'copy', "the assignment has no text \"$copy\"", NearestName::of($copy, $texts));
        }
        $missing = match (true) {
            $kind === 'starter' && ($values['compare'] ?? false) === true && $has->starter === null => [
                'compare', 'starter files',
            ],
            $kind === 'model' && $has->model === null => ['kind', 'model answer'],
            $kind === 'stylesheets' && ($values['given'] ?? false) === true && $has->sheets === null => [
                'given', 'stylesheets',
            ],
            default => null,
        };
        if ($missing !== null) {
            [$field, $what] = $missing;
            $this->problems->add($where, $field, "the assignment has no $what to compare with: add them first");
        }
    }

    /**
     * The pages that a brief names and an assignment gives.
     *
     * @param  array<mixed>  $values
     * @return list<string> none where neither says which pages there are
     */
    private static function pagesNamed(array $values, ?Materials $materials): array
    {
        $pages = [];
        foreach (self::listIn($values, 'requirements') as $one) {
            if (is_array($one) && ($one['kind'] ?? null) === 'files') {
                array_push($pages, ...self::texts($one['names'] ?? []));
            }
        }
        $given = [...$materials?->starter?->paths() ?? [], ...$materials?->model?->paths() ?? []];
        $isPage = fn (string $path) => FileKind::ofPath($path) === FileKind::Page;

        return array_values(array_unique(array_filter([...$pages, ...$given], $isPage)));
    }

    /**
     * A page that is nearly one of those that are named, and none of them.
     *
     * @param  list<string>  $known
     */
    private function pageNames(string $where, mixed $pages, array $known): void
    {
        $named = is_array($pages) && isset($pages['not']) ? $pages['not'] : $pages;
        foreach ($known === [] ? [] : self::texts($named) as $page) {
            $isName = FileKind::ofPath($page) === FileKind::Page && ! Glob::isPattern($page);
            $matching = array_filter($known, fn (string $one) => Glob::isPattern($one) && Glob::matches($one, $page));
            if (! $isName || in_array($page, $known, true) || $matching !== []) {
                continue;
            }
            $near = NearestName::of($page, array_values(array_filter(
                $known,
                fn (string $one) => ! Glob::isPattern($one),
            )));
            if ($near !== null) {
                $this->say($where, 'pages', "no requirement asks for a page \"$page\"", $near);
            }
        }
    }

    /** @param  array<mixed>  $values */
    private function numbers(string $where, array $values): void
    {
        if (isset($values['exactly']) && (isset($values['at_least']) || isset($values['at_most']))) {
            $field = isset($values['at_least']) ? 'at_least' : 'at_most';
            $this->problems->add($where, $field, "\"exactly\" says it all: leave \"$field\" out");
        }
    }

    private function pages(string $where, mixed $pages): void
    {
        $not = is_array($pages) ? self::texts($pages['not'] ?? []) : [];
        if (array_intersect($not, ['*.html', '*', '**', '**/*.html', 'all']) !== []) {
            $this->problems->add($where, 'pages', 'this leaves out every page');
        }
    }

    private function address(string $where, mixed $to): void
    {
        $isBare = is_string($to)
            && preg_match('~^(?:www\.[^/]+|[a-z0-9-]+\.(?:com|org|net|edu|gov|example))(?:/|$)~i', $to) === 1;
        if ($isBare) {
            $this->problems->add($where, 'to', "an address of another site has its scheme: `https://$to`");
        }
    }

    private function say(string $where, string $field, string $what, ?string $meant): void
    {
        $this->problems->add($where, $field, $what.($meant === null ? '' : "; did you mean \"$meant\"?"));
    }

    /** @return list<string> */
    private static function selectorsIn(Field $field, mixed $value): array
    {
        return match (true) {
            $field->type === FieldType::Selector,
            in_array($field->name, ['selector', 'each_of'], true) => self::texts($value),
            $field->type === FieldType::Parts => self::partsIn($value),
            default => [],
        };
    }

    /** @return list<string> the selectors of nested parts */
    private static function partsIn(mixed $value): array
    {
        $found = [];
        foreach (is_array($value) ? $value : [$value] as $name => $inside) {
            if (is_string($name)) {
                $found[] = $name;
            }
            array_push($found, ...(is_array($inside) ? self::partsIn($inside) : self::texts($inside)));
        }

        return $found;
    }

    /**
     * @param  array<mixed>  $values
     * @return list<mixed>
     */
    private static function listIn(array $values, string $name): array
    {
        $list = $values[$name] ?? [];

        return is_array($list) ? array_values($list) : [];
    }

    /** @return list<string> */
    private static function texts(mixed $value): array
    {
        return array_values(array_filter(is_array($value) ? $value : [$value], is_string(...)));
    }
}
