<?php

declare(strict_types=1);

// Attributes that the HTML Standard requires (section 4, "Content attributes" and the prose of each element). A list in a list
// is a choice: one of them is enough. Written from the standard, from memory. `alt` has a rule of its own.
return [
    'img' => [['src', 'srcset']], 'link' => [['href', 'imagesrcset'], ['rel', 'itemprop']], 'meta' => [['charset', 'content']],
    'map' => ['name'], 'object' => ['data'], 'source' => [['src', 'srcset']], 'track' => ['src'], 'bdo' => ['dir'],
    'data' => ['value'], 'meter' => ['value'], 'optgroup' => ['label'],
];
