<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Source\NearestName;

/** Finds what may be slips of the hand on a page where something goes wrong. Which of them are, `Mending` finds out. */
final readonly class SlipFinder
{
    private const LINK_TYPES = ['stylesheet', 'icon'];

    /** @return list<Slip> those that hide others first */
    public static function in(Document $document, TagPairs $pairs): array
    {
        // What is found in one class may be an effect of what is found in an earlier one.
        foreach ([StartSlips::in(...), TagSlips::in(...), CommentSlips::in(...), RawTextSlips::in(...)] as $find) {
            $slips = $find($document);
            if ($slips !== []) {
                $found[] = $slips;
            }
        }
        foreach ([
            NameSlips::in(...), ContainerSlips::in(...), PairSlips::in(...), HeadSlips::in(...),
        ] as $find) {
            $slips = $find($document, $pairs);
            if ($slips !== []) {
                $found[] = $slips;
            }
        }

        return array_merge(...$found ?? []);
    }

    /** What a link type was meant to be that is none; null when nothing is wrong with it. */
    public static function misspeltLinkType(Element $element, string $name, string $value): ?string
    {
        if ($name !== 'rel' || $element->name !== 'link' || preg_match('/^\s*([a-z]+)\s*$/i', $value, $type) !== 1) {
            return null;
        }
        $type = strtolower($type[1]);
        $known = [
            'alternate', 'author', 'canonical', 'license', 'manifest', 'next', 'prev', 'preload', 'prefetch',
            'preconnect', 'search', 'help', 'bookmark', 'shortcut',
        ];
        if (in_array($type, [...self::LINK_TYPES, ...$known], true) || strlen($type) < 4) {
            return null;
        }
        // A stylesheet is what nearly every link of a beginner's page is for.
        $isSheet = preg_match('/\.css(?:[?#]|$)/i', trim($element->value('href') ?? '')) === 1;

        return $isSheet && NearestName::distance($type, 'stylesheet', 4) <= 4
            ? 'stylesheet'
            : NearestName::of($type, self::LINK_TYPES);
    }
}
