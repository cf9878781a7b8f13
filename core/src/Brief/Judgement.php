<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/** What a requirement came to on one site: the share met (0 to 1; null when it cannot be told) and the words for it. */
final readonly class Judgement
{
    public function __construct(public ?float $met, public string $measured, public string $expected)
    {
    }

    /** So many of so many; nothing to look at cannot be told. */
    public static function share(int $met, int $of, string $measured, string $expected): self
    {
        return new self($of === 0 ? null : $met / $of, $measured, $expected);
    }

    public static function pages(int $met, int $of, string $expected): self
    {
        return self::share($met, $of, $of === 0 ? 'no such page' : "$met of $of ".($of === 1 ? 'page' : 'pages'), $expected);
    }
}
