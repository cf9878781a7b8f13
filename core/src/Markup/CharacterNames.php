<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** The character references that people write for a character. Source: core/data/character-references.php. */
final readonly class CharacterNames
{
    /** Such as `&copy;` for ©: the shortest name there is, or its number. */
    public static function reference(string $character): string
    {
        static $names = null;
        if (! is_array($names)) {
            $names = [];
            /** @var array<string, string> $table */
            $table = require __DIR__.'/../../data/character-references.php';
            foreach ($table as $name => $stands) {
                $best = $names[$stands] ?? null;
                if (str_ends_with($name, ';') && ($best === null
                    || [strlen($name), ctype_upper($name[0])] < [strlen($best), ctype_upper($best[0])])) {
                    $names[$stands] = $name;
                }
            }
        }
        $name = $names[$character] ?? null;

        return is_string($name) ? "&$name" : '&#'.mb_ord($character).';';
    }
}
