<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\SiteFact;

/** The classes and ids in the markup that no stylesheet, link, label or description speaks of. */
final class UnusedNames implements SiteFact
{
    /** Attributes whose values are ids of other elements (HTML Standard; WAI-ARIA 1.2). */
    private const POINTERS = [
        'for', 'form', 'list', 'headers', 'aria-labelledby', 'aria-describedby', 'aria-controls', 'aria-owns',
        'aria-details',
        'aria-activedescendant', 'aria-flowto', 'popovertarget', 'commandfor', 'usemap', 'itemref',
    ];

    /** @param  list<string>  $names  as `.class` and `#id` */
    private function __construct(public readonly array $names)
    {
    }

    public static function of(ParsedSite $site): static
    {
        $used = $site->fact(RuleReach::class)->names() + self::pointedAt($site);
        $names = $site->fact(MarkupNames::class)->names();

        return new self(array_values(array_filter($names, fn (string $name) => ! isset($used[$name]))));
    }

    /** @return array<string, true> the ids that links and other elements name */
    private static function pointedAt(ParsedSite $site): array
    {
        $ids = [];
        foreach ($site->references() as $reference) {
            if ($reference->target->fragment !== null) {
                $ids["#{$reference->target->fragment}"] = true;
            }
        }

        return $ids + self::namedByAttributes($site);
    }

    /** @return array<string, true> */
    private static function namedByAttributes(ParsedSite $site): array
    {
        $ids = [];
        foreach ($site->pages as $page) {
            foreach ($page->attributes() as [, $attribute, $elements]) {
                if (in_array($attribute, self::POINTERS, true)) {
                    foreach ($elements as $element) {
                        foreach (preg_split('/\s+/', $element->value($attribute) ?? '') ?: [] as $id) {
                            $ids['#'.ltrim($id, '#')] = true;
                        }
                    }
                }
            }
        }

        return $ids;
    }
}
