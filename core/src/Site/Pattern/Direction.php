<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

/** What a link is for in a pattern. */
enum Direction: string
{
    case On = 'on';
    case Back = 'back';
    case Menu = 'menu';
    case Choice = 'choice';
    case Entry = 'entry';

    /** As it is called in a sentence: "its way on". */
    public function words(): string
    {
        return match ($this) {
            self::On => 'way on',
            self::Back => 'way back',
            self::Menu => 'link',
            self::Choice => 'choice',
            self::Entry => 'entry',
        };
    }

    /** Whether the words of a link say this direction (common practice). */
    public function isSaidBy(string $label): bool
    {
        $pattern = match ($this) {
            self::On => '/\b(?:next|on|onward|onwards|forward|forwards|continue|ahead)\b|[→»›>]|➡/iu',
            self::Back => '/\b(?:back|prev|previous|before|return)\b|[←«‹<]|⬅/iu',
            default => '/(?!)/',
        };

        return preg_match($pattern, $label) === 1;
    }
}
