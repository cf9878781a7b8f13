<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Style\Cascade\RuleIndex;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Selector\ClassSelector;
use InkedMargin\Core\Style\Selector\IdSelector;
use InkedMargin\Core\Style\Selector\Simple;

/** What the rules of a site's stylesheets reach: which elements of which pages, at whatever time. */
final class RuleReach implements SiteFact
{
    /** A sheet with so many rules, most of which reach nothing, was made for any site: a reset, or a framework. */
    private const GENERAL = 12;

    /** @var array<string, list<StyleRule>>|null */
    private ?array $names = null;

    /**
     * @param  array<string, StyleRule>  $rules  by the place that they are written at
     * @param  array<string, array<string, list<Element>>>  $reached  likewise, then by page
     * @param  array<string, Page>  $pages
     * @param  array<string, true>  $general  paths of sheets that were made for any site
     */
    private function __construct(
        public readonly array $rules,
        private readonly array $reached,
        private readonly array $pages,
        private readonly array $general,
    ) {
    }

    public static function of(ParsedSite $site): static
    {
        $styles = $site->fact(SiteStyles::class);
        $rules = $reached = $indexes = [];
        foreach ($site->pages as $page) {
            $own = $styles->rulesOf($page);
            // Most pages of a site have the same rules.
            $key = $styles->keyOf($page);
            if (! isset($indexes[$key])) {
                $indexes[$key] = new RuleIndex($own);
                foreach ($own as $rule) {
                    $rules[self::keyOf($rule)] = $rule;
                }
            }
            $index = $indexes[$key];
            $matching = $page->matching->in(null);
            $standings = $keys = [];
            foreach ($own === [] ? [] : $page->document->elements() as $element) {
                $around = $element->parent === null ? 0 : $standings[spl_object_id($element->parent)];
                [$standings[spl_object_id($element)], $matched] = $index->matching($element, $around, $matching);
                $matching->take(count($matched));
                foreach ($matched as [, $rule]) {
                    $key = $keys[spl_object_id($rule)] ??= self::keyOf($rule);
                    $reached[$key][$page->path()][] = $element;
                }
            }
        }
        $all = $none = [];
        foreach ($rules as $key => $rule) {
            $all[$rule->sheet] = ($all[$rule->sheet] ?? 0) + 1;
            $none[$rule->sheet] = ($none[$rule->sheet] ?? 0) + (isset($reached[$key]) ? 0 : 1);
        }
        $isGeneral = fn (string $sheet) => preg_match('~(?:^|/)[^/]*(?:normali[sz]e|reset)[^/]*\.css$~i', $sheet) === 1
            || ($all[$sheet] >= self::GENERAL && 2 * $none[$sheet] > $all[$sheet]);
        $general = array_fill_keys(array_filter(array_map(strval(...), array_keys($all)), $isGeneral), true);

        return new self($rules, $reached, $site->pages, $general);
    }

    /** @return list<array{Page, Element}> */
    public function elements(StyleRule $rule): array
    {
        $elements = [];
        foreach ($this->reached[self::keyOf($rule)] ?? [] as $path => $onPage) {
            foreach ($onPage as $element) {
                $elements[] = [$this->pages[$path], $element];
            }
        }

        return $elements;
    }

    /** Whether a sheet was made for any site, so that what it does not reach here is no slip. */
    public function isGeneral(string $sheet): bool
    {
        return isset($this->general[$sheet]);
    }

    /**
     * The classes and ids that selectors speak of.
     *
     * @return array<string, list<StyleRule>> rules by `.class` or `#id`
     */
    public function names(): array
    {
        return $this->names ??= $this->findNames();
    }

    /** @return array<string, list<StyleRule>> */
    private function findNames(): array
    {
        $names = [];
        foreach ($this->rules as $rule) {
            foreach (self::partsOf($rule) as $part) {
                $name = match (true) {
                    $part instanceof ClassSelector => ".$part->name",
                    $part instanceof IdSelector => "#$part->name",
                    default => null,
                };
                if ($name !== null) {
                    $names[$name][] = $rule;
                }
            }
        }

        return $names;
    }

    /** @return list<Simple> */
    public static function partsOf(StyleRule $rule): array
    {
        $parts = [];
        foreach ($rule->selector->alternatives ?? [] as $selector) {
            foreach ($selector->compounds as $compound) {
                array_push($parts, ...$compound->parts);
            }
        }

        return $parts;
    }

    private static function keyOf(StyleRule $rule): string
    {
        return "$rule->sheet {$rule->written->preludeSpan()->start} ".count($rule->declarations);
    }
}
