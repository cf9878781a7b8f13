<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Style\Cascade\StyleRule;
use InkedMargin\Core\Style\Selector\ClassSelector;
use InkedMargin\Core\Style\Selector\IdSelector;
use InkedMargin\Core\Style\Selector\TypeSelector;

/** The classes and ids that the pages of a site have, and where. */
final class MarkupNames implements SiteFact
{
    /** A name shorter than this is too little to tell a slip in it. */
    private const SHORTEST = 4;

    private const LONG = 10;

    /**
     * @param  array<string, list<array{Page, Element}>>  $places  by `.class` or `#id`
     * @param  array<string, true>  $together  values of `class` with a space in them
     */
    private function __construct(private readonly array $places, private readonly array $together)
    {
    }

    public static function of(ParsedSite $site): static
    {
        $places = $together = [];
        foreach ($site->pages as $page) {
            foreach ($page->document->elements() as $element) {
                $id = $element->value('id');
                if ($id !== null && $id !== '') {
                    $places["#$id"][] = [$page, $element];
                }
                $classes = $element->classes();
                foreach ($classes as $class) {
                    $places[".$class"][] = [$page, $element];
                }
                if (count($classes) === 2) {
                    $together[implode(' ', $classes)] = true;
                }
            }
        }

        return new self($places, $together);
    }

    /** @return list<string> each as `.class` or `#id` */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->places));
    }

    /** @return list<array{Page, Element}> */
    public function placesOf(string $name): array
    {
        return $this->places[$name] ?? [];
    }

    /** Whether a rule speaks of an id with a space, as `#my gate` does of `id="my gate"`: it is told on the page. */
    public function haveSpacedIdOf(StyleRule $rule): bool
    {
        preg_match_all('/#([\w-]+)\s+([\w-]+)/', $rule->written->prelude(), $matches, PREG_SET_ORDER);

        return array_filter($matches, fn (array $one) => $this->placesOf("#$one[1] $one[2]") !== []) !== [];
    }

    /**
     * The names in a rule's selector that no page has, where one is plainly meant that they have and no rule speaks of.
     *
     * @return list<MissedName>
     */
    public function missedBy(StyleRule $rule, RuleReach $reach): array
    {
        if ($rule->selector === null || $reach->elements($rule) !== []) {
            return [];
        }
        $missed = [];
        foreach (RuleReach::partsOf($rule) as $part) {
            $found = match (true) {
                $part instanceof ClassSelector => $this->meantBy('.', $part->name, $reach),
                $part instanceof IdSelector => $this->meantBy('#', $part->name, $reach),
                $part instanceof TypeSelector && $part->name !== null => $this->meantByType($part->name, $reach),
                default => null,
            };
            if ($found !== null) {
                $missed[] = $found;
            }
        }

        return $missed;
    }

    private function meantBy(string $sign, string $name, RuleReach $reach): ?MissedName
    {
        if (isset($this->places["$sign$name"])) {
            return null;
        }
        $other = $sign === '.' ? '#' : '.';
        if (isset($this->places["$other$name"])) {
            return new MissedName("$sign$name", 'kind', "$other$name");
        }
        foreach (array_keys($this->places) as $place) {
            if ($place[0] === $sign && strcasecmp(substr($place, 1), $name) === 0) {
                return new MissedName("$sign$name", 'case', $place);
            }
        }
        foreach ($sign === '.' ? array_keys($this->together) : [] as $two) {
            if (in_array(
                strtolower($name),
                [
                    str_replace(' ', '', strtolower($two)),
                    str_replace(' ', '-', strtolower($two)),
                    str_replace(' ', '_', strtolower($two)),
                ],
                true,
            )
                && ! $this->isSpokenOf($two, $reach)) {
                return new MissedName(".$name", 'space', $two);
            }
        }
        // A slip of the hand, where neither name is used for anything else.
        $spoken = $reach->names();
        $free = array_filter(
            $this->names(),
            fn (string $one) => $one[0] === $sign && ! isset($spoken[$one]) && strlen($one) > self::SHORTEST,
        );
        $near = strlen($name) < self::SHORTEST ? null : NearestName::of("$sign$name", $free);
        // Two words that are alike are more often two words than a slip.
        $isSlip = $near !== null && NearestName::distance("$sign$name", $near) <= (strlen($name) < self::LONG ? 1 : 2);

        return $isSlip ? new MissedName("$sign$name", 'spelling', $near) : null;
    }

    private function isSpokenOf(string $classes, RuleReach $reach): bool
    {
        $spoken = $reach->names();

        return array_filter(explode(' ', $classes), fn (string $one) => isset($spoken[".$one"])) !== [];
    }

    /** A name without its dot or its sign. */
    private function meantByType(string $name, RuleReach $reach): ?MissedName
    {
        if (ElementTable::load()->knows(strtolower($name)) && ! str_contains($name, '-')) {
            return null;
        }
        $spoken = $reach->names();
        foreach (['.', '#'] as $sign) {
            if (isset($this->places["$sign$name"]) && ! isset($spoken["$sign$name"])) {
                return new MissedName($name, 'dot', "$sign$name");
            }
        }

        return null;
    }
}
