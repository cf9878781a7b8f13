<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Source\TextMap;
use InkedMargin\Core\Style\Syntax\AtRuleNode;

/** Which custom properties are set, and on which elements, at whatever time and under whatever condition. */
final readonly class CustomProperties implements SiteFact
{
    /**
     * @param  TextMap<array<int, true>>  $holders  object ids of elements by the name of the property
     * @param  TextMap<true>  $everywhere  names that `@property` gives a value
     */
    private function __construct(private TextMap $holders, private TextMap $everywhere)
    {
    }

    public static function of(ParsedSite $site): static
    {
        $reach = $site->fact(RuleReach::class);
        /** @var TextMap<array<int, true>> $holders */
        $holders = new TextMap;
        foreach ($reach->rules as $rule) {
            foreach ($rule->declarations as $declaration) {
                if ($declaration->isCustom()) {
                    $elements = array_map(fn (array $place) => $place[1], $reach->elements($rule));
                    self::add($holders, $declaration->name, $elements);
                }
            }
        }
        foreach ($site->pages as $page) {
            self::addAttributes($holders, $page);
        }

        return new self($holders, self::registered($site));
    }

    /** @return list<string> with their dashes */
    public function names(): array
    {
        $names = [];
        foreach ($this->holders as $name => $elements) {
            $names[] = $name;
        }

        return $names;
    }

    public function isSetAnywhere(string $name): bool
    {
        return $this->everywhere->has($name) || $this->holders->has($name);
    }

    /** Whether an element has it, of its own or from an element around it. */
    public function isSetOn(Element $element, string $name): bool
    {
        if ($this->everywhere->has($name)) {
            return true;
        }
        $holders = $this->holders->get($name) ?? [];
        for ($around = $element; $around instanceof Element; $around = $around->parent) {
            if (isset($holders[spl_object_id($around)])) {
                return true;
            }
        }

        return false;
    }

    /** @param  TextMap<array<int, true>>  $holders */
    private static function addAttributes(TextMap $holders, Page $page): void
    {
        foreach ($page->styles as $style) {
            foreach ($style->attribute === null ? [] : $style->css->declarations() as $declaration) {
                if ($declaration->isCustom()) {
                    self::add($holders, $declaration->name, [$style->element]);
                }
            }
        }
    }

    /**
     * @param  TextMap<array<int, true>>  $holders
     * @param  list<Element>  $elements
     */
    private static function add(TextMap $holders, string $name, array $elements): void
    {
        $ids = array_map(spl_object_id(...), $elements);
        $holders->put($name, ($holders->get($name) ?? []) + array_fill_keys($ids, true));
    }

    /** @return TextMap<true> */
    private static function registered(ParsedSite $site): TextMap
    {
        /** @var TextMap<true> $names */
        $names = new TextMap;
        foreach ($site->fact(StyleSources::class)->all as $source) {
            foreach ($source->css->rules() as $rule) {
                if ($rule instanceof AtRuleNode && $rule->name() === 'property') {
                    $names->put(trim($rule->prelude()), true);
                }
            }
        }

        return $names;
    }
}
