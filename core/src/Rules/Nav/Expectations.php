<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Site\Pattern\BreakKind;
use InkedMargin\Core\Site\Pattern\PatternBreak;
use InkedMargin\Core\Site\Pattern\PatternReading;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\SiteReading;

/** Where links that lead nowhere should lead, by the pattern of the site: one slip is told once, by the rule of the link. */
final readonly class Expectations
{
    /** @param  array<int, array{string, Navigation|null}>  $byReference  by object id: the page, and the requirement that says so */
    private function __construct(private array $byReference)
    {
    }

    public static function of(SiteReading $reading, Brief $brief): self
    {
        return $reading->remember($brief, fn () => self::read($reading, $brief));
    }

    private static function read(SiteReading $reading, Brief $brief): self
    {
        $found = [];
        foreach (self::patterns($reading, $brief) as [$pattern, $requirement]) {
            foreach ($pattern->breaks as $break) {
                if (self::isOfLink($break) && $break->link !== null && $break->expected?->to !== null) {
                    $found[spl_object_id($break->link->reference)] = [$break->expected->to, $requirement];
                }
            }
        }

        return new self($found);
    }

    /** @return list<array{PatternReading, Navigation|null}> the patterns that the brief names; or else the one that is plain */
    public static function patterns(SiteReading $reading, Brief $brief): array
    {
        $asked = [];
        foreach ($brief->ofKind(Navigation::class) as $requirement) {
            $pattern = $requirement->reading($reading);
            if ($pattern !== null) {
                $asked[] = [$pattern, $requirement];
            }
        }
        $plain = $reading->pattern();

        return $asked === [] && $plain !== null ? [[$plain, null]] : $asked;
    }

    /** Whether a break is a link that leads nowhere, which the rules of links tell. */
    public static function isOfLink(PatternBreak $break): bool
    {
        return $break->kind === BreakKind::Wrong && $break->link?->isUnfinished() === true;
    }

    /** The page that a reference should lead to; null when no pattern says. */
    public function target(Reference $reference): ?string
    {
        return $this->byReference[spl_object_id($reference)][0] ?? null;
    }

    public function requirement(Reference $reference): ?Navigation
    {
        return $this->byReference[spl_object_id($reference)][1] ?? null;
    }
}
