<?php

// Attributes that hold one address, by element.
// Source: html-url-attributes 3.0.1 (npm). Written by core/data/generate/url-attributes.mjs.

declare(strict_types=1);

return [
    'a' => ['href'],
    'area' => ['href'],
    'audio' => ['src'],
    'base' => ['href'],
    'blockquote' => ['cite'],
    'button' => ['formaction'],
    'del' => ['cite'],
    'embed' => ['src'],
    'form' => ['action'],
    'html' => ['manifest'],
    'iframe' => ['src'],
    'img' => ['src'],
    'input' => ['formaction', 'src'],
    'ins' => ['cite'],
    'link' => ['href'],
    'menuitem' => ['icon'],
    'object' => ['data'],
    'q' => ['cite'],
    'script' => ['src'],
    'source' => ['src'],
    'track' => ['src'],
    'video' => ['poster', 'src'],
];
