<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Value;

/** The units of CSS (CSS Values and Units Level 4, sections 6 and 7; CSS Grid 2; CSS Speech). */
final class Units
{
    /** By the type that they make a number. */
    private const OF = [
        'length' => [
            'px', 'em', 'rem', 'ex', 'rex', 'cap', 'rcap', 'ch', 'rch', 'ic', 'ric', 'lh', 'rlh', 'vw', 'svw', 'lvw',
            'dvw',
            'vh', 'svh', 'lvh', 'dvh', 'vi', 'svi', 'lvi', 'dvi', 'vb', 'svb', 'lvb', 'dvb', 'vmin', 'svmin', 'lvmin',
            'dvmin', 'vmax', 'svmax', 'lvmax', 'dvmax', 'cqw', 'cqh', 'cqi', 'cqb', 'cqmin', 'cqmax', 'cm', 'mm', 'q',
            'in', 'pt', 'pc',
        ],
        'angle' => ['deg', 'grad', 'rad', 'turn'],
        'time' => ['s', 'ms'],
        'frequency' => ['hz', 'khz'],
        'resolution' => ['dpi', 'dpcm', 'dppx', 'x'],
        'flex' => ['fr'],
        'decibel' => ['db'],
        'semitones' => ['st'],
        'percentage' => ['%'],
    ];

    /** The type of a number with a unit; `number` where it has none; null for a unit that there is not. */
    public static function typeOf(string $unit): ?string
    {
        if ($unit === '') {
            return 'number';
        }
        foreach (self::OF as $type => $units) {
            if (in_array($unit, $units, true)) {
                return $type;
            }
        }

        return null;
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_merge(...array_values(self::OF));
    }
}
