<?php

declare(strict_types=1);

// What `@media` can ask for, and what for an answer: `length`, `ratio`, `resolution` and `integer` also take `min-` and
// `max-`; a list holds the words that are answers. Media Queries Level 4 (sections 4 to 7) and Level 5; from memory.

return [
    'width' => 'length', 'height' => 'length', 'device-width' => 'length', 'device-height' => 'length',
    'aspect-ratio' => 'ratio', 'device-aspect-ratio' => 'ratio', 'resolution' => 'resolution',
    'color' => 'integer', 'color-index' => 'integer', 'monochrome' => 'integer', 'grid' => 'integer',
    'device-pixel-ratio' => 'ratio', 'horizontal-viewport-segments' => 'integer',
    'vertical-viewport-segments' => 'integer',
    'orientation' => ['portrait', 'landscape'],
    'scan' => ['interlace', 'progressive'],
    'update' => ['none', 'slow', 'fast'],
    'overflow-block' => ['none', 'scroll', 'paged', 'optional-paged'],
    'overflow-inline' => ['none', 'scroll'],
    'color-gamut' => ['srgb', 'p3', 'rec2020'],
    'dynamic-range' => ['standard', 'high'],
    'video-color-gamut' => ['srgb', 'p3', 'rec2020'],
    'video-dynamic-range' => ['standard', 'high'],
    'display-mode' => [
        'fullscreen', 'standalone', 'minimal-ui', 'browser', 'picture-in-picture', 'window-controls-overlay', 'tabbed',
    ],
    'hover' => ['none', 'hover', 'on-demand'],
    'any-hover' => ['none', 'hover', 'on-demand'],
    'pointer' => ['none', 'coarse', 'fine'],
    'any-pointer' => ['none', 'coarse', 'fine'],
    'forced-colors' => ['none', 'active'],
    'inverted-colors' => ['none', 'inverted'],
    'nav-controls' => ['none', 'back'],
    'light-level' => ['dim', 'normal', 'washed'],
    'environment-blending' => ['opaque', 'additive', 'subtractive'],
    'scripting' => ['none', 'initial-only', 'enabled'],
    'prefers-color-scheme' => ['light', 'dark', 'no-preference'],
    'prefers-contrast' => ['no-preference', 'more', 'less', 'custom', 'high', 'low', 'forced'],
    'prefers-reduced-motion' => ['no-preference', 'reduce'],
    'prefers-reduced-transparency' => ['no-preference', 'reduce'],
    'prefers-reduced-data' => ['no-preference', 'reduce'],
    'shape' => ['rect', 'round'],
    // Of old browsers; they do no harm beside those with a prefix.
    'transform-2d' => 'integer', 'transform-3d' => 'integer', 'transition' => 'integer', 'animation' => 'integer',
];
