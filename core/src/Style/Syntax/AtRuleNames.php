<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

use InkedMargin\Core\Source\NearestName;

/** The at-rules of CSS (the specifications of CSS as of 2025; from memory), and how they are written. */
final class AtRuleNames
{
    /** With a block. */
    private const WITH_BLOCK = [
        'media', 'supports', 'container', 'font-face', 'keyframes', 'page', 'property', 'counter-style', 'scope',
        'starting-style', 'font-feature-values', 'font-palette-values', 'view-transition', 'position-try',
        'color-profile', 'viewport', 'document', 'function',
    ];

    /** Rules whose blocks hold rules that count for pages (conditional rules, layers and scopes). */
    private const AROUND = ['media', 'supports', 'layer', 'container', 'scope', 'starting-style', '-moz-document'];

    /** With a semicolon behind it. */
    private const STATEMENTS = ['import', 'charset', 'namespace'];

    /** Either, or in another rule only. */
    private const OTHERS = [
        'layer', 'custom-media', 'custom-selector', 'top-left-corner', 'top-left', 'top-center', 'top-right',
        'top-right-corner', 'bottom-left-corner', 'bottom-left', 'bottom-center', 'bottom-right',
        'bottom-right-corner', 'left-top', 'left-middle', 'left-bottom', 'right-top', 'right-middle', 'right-bottom',
        'stylistic', 'styleset', 'character-variant', 'swash', 'ornaments', 'annotation', 'historical-forms',
        'nest', 'contents', 'result',
    ];

    /** What people type, further from what they mean than a slip of the hand (common practice). */
    private const MEANT = [
        'font' => 'font-face', 'fontface' => 'font-face', 'font-fce' => 'font-face', 'webfont' => 'font-face',
        'keyframe' => 'keyframes', 'key-frames' => 'keyframes', 'keyframs' => 'keyframes', 'animation' => 'keyframes',
        'screen' => 'media screen', 'print' => 'media print', 'mediaquery' => 'media', 'media-query' => 'media',
    ];

    /** Those of languages that are translated to CSS (common practice). */
    private const OF_OTHER_LANGUAGES = [
        'include', 'mixin', 'extend', 'use', 'forward', 'if', 'else', 'for', 'each', 'while', 'return', 'apply',
        'tailwind', 'warn', 'error', 'debug', 'at-root', 'content', 'plugin', 'theme', 'utility', 'variant', 'config',
        'screen-reader', 'responsive', 'source', 'reference', 'custom-variant',
    ];

    public static function isKnown(string $name): bool
    {
        return str_starts_with($name, '-')
            || in_array($name, [...self::WITH_BLOCK, ...self::STATEMENTS, ...self::OTHERS], true);
    }

    public static function isOfAnotherLanguage(string $name): bool
    {
        return in_array($name, self::OF_OTHER_LANGUAGES, true);
    }

    public static function holdsRules(string $name): bool
    {
        return in_array($name, self::AROUND, true);
    }

    public static function takesBlock(string $name): bool
    {
        return in_array($name, self::WITH_BLOCK, true);
    }

    public static function isStatement(string $name): bool
    {
        return in_array($name, self::STATEMENTS, true);
    }

    public static function meant(string $name): ?string
    {
        return self::MEANT[$name] ?? NearestName::of($name, [...self::WITH_BLOCK, ...self::STATEMENTS, 'layer']);
    }
}
