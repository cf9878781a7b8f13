<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Pattern\PatternMatch;
use InkedMargin\Core\Site\Pattern\PatternRecognition;
use InkedMargin\Core\Site\Reference;

/** Which patterns the pages of a site should link in, and where links that lead nowhere should lead by them. */
final readonly class LinkExpectations
{
    /**
     * @param  list<array{PatternMatch, Navigation|null}>  $patterns  those that the brief names, each with the
     *     requirement that does;
     *                                                                or else the one that is plain to see
     * @param  array<int, array{string, Navigation|null}>  $byReference  by object id: the page, and the requirement
     *     that says so
     */
    private function __construct(public array $patterns, private array $byReference)
    {
    }

    public static function of(ParsedSite $site, Brief $brief): self
    {
        $patterns = self::patternsOf($site, $brief);
        $found = [];
        foreach ($patterns as [$match, $requirement]) {
            foreach ($match->violations as $violation) {
                if ($violation->isOfLink() && $violation->link !== null && $violation->expected?->to !== null) {
                    $found[spl_object_id($violation->link->reference)] = [$violation->expected->to, $requirement];
                }
            }
        }

        return new self($patterns, $found);
    }

    /** The page that a reference should lead to; null when no pattern says. */
    public function target(Reference $reference): ?string
    {
        return $this->byReference[spl_object_id($reference)][0] ?? null;
    }

    /** @return list<array{PatternMatch, Navigation|null}> */
    private static function patternsOf(ParsedSite $site, Brief $brief): array
    {
        $asked = [];
        foreach ($brief->ofKind(Navigation::class) as $requirement) {
            $match = $requirement->match($site);
            if ($match !== null) {
                $asked[] = [$match, $requirement];
            }
        }
        $plain = $site->fact(PatternRecognition::class)->match;

        return $asked === [] && $plain !== null ? [[$plain, null]] : $asked;
    }
}
