<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Cascade;

/**
 * Whether a media query holds on a screen of 1280 by 800 pixels (Media Queries 4), where nobody has asked for anything
 * else. What is not known does not hold.
 */
final class MediaQuery
{
    private const WIDTH = 1280.0;

    private const HEIGHT = 800.0;

    /** What is said of the screen without a number. */
    private const FEATURES = [
        'orientation' => 'landscape', 'prefers-color-scheme' => 'light', 'prefers-reduced-motion' => 'no-preference',
        'prefers-contrast' => 'no-preference', 'prefers-reduced-transparency' => 'no-preference', 'hover' => 'hover',
        'any-hover' => 'hover', 'pointer' => 'fine', 'any-pointer' => 'fine', 'display-mode' => 'browser',
        'scripting' => 'enabled', 'update' => 'fast', 'overflow-block' => 'scroll', 'overflow-inline' => 'scroll',
        'color-gamut' => 'srgb', 'forced-colors' => 'none', 'inverted-colors' => 'none', 'dynamic-range' => 'standard',
    ];

    /** @param  string  $list  as in `@media` or a `media` attribute; an empty one holds */
    public static function holds(string $list): bool
    {
        $list = strtolower(trim(preg_replace('~/\*.*?\*/~s', ' ', $list) ?? ''));
        if ($list === '') {
            return true;
        }
        foreach (explode(',', $list) as $query) {
            if (self::query(trim($query))) {
                return true;
            }
        }

        return false;
    }

    private static function query(string $query): bool
    {
        if (
            preg_match('/^(?:(not|only)\s+)?([a-z-]+)(?:\s+and\s+(.+))?$/s', $query, $parts) === 1
            && $parts[2] !== 'not'
        ) {
            $holds = in_array($parts[2], ['all', 'screen'], true)
                && (! isset($parts[3]) || self::condition($parts[3]) === true);

            return $parts[1] === 'not' ? ! $holds : $holds;
        }

        return self::condition($query) === true;
    }

    /** @return bool|null null where it is not known */
    private static function condition(string $condition): ?bool
    {
        $condition = trim($condition);
        if (preg_match('/^not\s+(.+)$/s', $condition, $parts) === 1) {
            $inner = self::condition($parts[1]);

            return $inner === null ? null : ! $inner;
        }
        foreach ([' or ', ' and '] as $joint) {
            $operands = self::split($condition, $joint);
            if (count($operands) > 1) {
                return self::joined($joint, array_map(self::condition(...), $operands));
            }
        }
        if (! str_starts_with($condition, '(') || ! str_ends_with($condition, ')')) {
            return null;
        }
        $inside = trim(substr($condition, 1, -1));

        return str_starts_with($inside, '(') || str_starts_with($inside, 'not ')
            ? self::condition($inside)
            : self::feature($inside);
    }

    /**
     * @param  list<?bool>  $values
     * @return ?bool null where it cannot be known (Media Queries 4, 3.2)
     */
    private static function joined(string $joint, array $values): ?bool
    {
        return $joint === ' or '
            ? (in_array(true, $values, true) ?: (in_array(null, $values, true) ? null : false))
            : (in_array(false, $values, true) ? false : (in_array(null, $values, true) ? null : true));
    }

    /** @return list<string> cut at a word that stands in no brackets */
    private static function split(string $condition, string $joint): array
    {
        $pieces = [''];
        $depth = 0;
        for ($at = 0; $at < strlen($condition); $at++) {
            $depth += ['(' => 1, ')' => -1][$condition[$at]] ?? 0;
            if ($depth === 0 && substr($condition, $at, strlen($joint)) === $joint) {
                $pieces[] = '';
                $at += strlen($joint) - 1;

                continue;
            }
            $pieces[count($pieces) - 1] .= $condition[$at];
        }

        return $pieces;
    }

    private static function feature(string $feature): ?bool
    {
        if (preg_match('/^(min-|max-)?([a-z-]+)\s*:\s*(.+)$/s', $feature, $parts) === 1) {
            return self::compare($parts[2], ['min-' => '>=', 'max-' => '<=', '' => '='][$parts[1]], $parts[3]);
        }
        // (400px <= width < 700px), (width > 40em)
        $sign = '(<=|>=|<|>|=)';
        if (preg_match("/^([a-z-]+)\s*$sign\s*(.+)$/s", $feature, $parts) === 1) {
            return self::compare($parts[1], $parts[2], $parts[3]);
        }
        if (preg_match("/^(\S+)\s*$sign\s*([a-z-]+)(?:\s*$sign\s*(\S+))?$/s", $feature, $parts) === 1) {
            $turned = ['<' => '>', '>' => '<', '<=' => '>=', '>=' => '<=', '=' => '='];
            $first = self::compare($parts[3], $turned[$parts[2]], $parts[1]);

            return isset($parts[4], $parts[5]) ? $first && self::compare($parts[3], $parts[4], $parts[5]) : $first;
        }
        $known = self::FEATURES[$feature] ?? null;

        return match (true) {
            $known !== null => ! in_array($known, ['none', 'no-preference'], true),
            in_array(
                $feature,
                ['width', 'height', 'color', 'device-width', 'resolution', 'aspect-ratio'],
                true,
            ) => true,
            $feature === 'grid' || $feature === 'monochrome' => false,
            default => null,
        };
    }

    private static function compare(string $name, string $sign, string $wanted): ?bool
    {
        $known = self::FEATURES[$name] ?? null;
        if ($known !== null) {
            return $sign === '=' ? $known === trim($wanted) : null;
        }
        $have = self::valueOf($name);
        $want = self::number(trim($wanted));
        if ($have === null || $want === null) {
            return null;
        }

        return match ($sign) {
            '>=' => $have >= $want,
            '<=' => $have <= $want,
            '>' => $have > $want,
            '<' => $have < $want,
            default => abs($have - $want) < 1e-6,
        };
    }

    /** What the display that is assumed has, in the unit of the feature */
    private static function valueOf(string $name): ?float
    {
        return match ($name) {
            'width', 'device-width' => self::WIDTH,
            'height', 'device-height' => self::HEIGHT,
            'aspect-ratio', 'device-aspect-ratio' => self::WIDTH / self::HEIGHT,
            'resolution', 'device-pixel-ratio', '-webkit-device-pixel-ratio' => 1.0,
            'color' => 8.0,
            'monochrome', 'grid', 'color-index' => 0.0,
            default => null,
        };
    }

    private static function number(string $written): ?float
    {
        if (preg_match('~^([\d.]+)\s*/\s*([\d.]+)$~', $written, $parts) === 1) {
            return (float) $parts[2] === 0.0 ? null : (float) $parts[1] / (float) $parts[2];
        }
        if (preg_match('/^([+-]?[\d.]+)(px|r?em|pt|cm|mm|in|dppx|x|dpi|dpcm)?$/', $written, $parts) !== 1) {
            return null;
        }

        return (float) $parts[1] * match ($parts[2] ?? '') {
            'em', 'rem' => 16,
            'pt' => 4 / 3,
            'in' => 96,
            'cm' => 96 / 2.54,
            'mm' => 9.6 / 2.54,
            'dpi' => 1 / 96,
            'dpcm' => 2.54 / 96,
            default => 1,
        };
    }
}
