<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Slips;

/**
 * One slip each in the stylesheet of the quay: what is written, what in its place, and what is found. From memory of
 * what beginners write; the sections of the standards are those of the rules.
 */
final class StyleSlips
{
    /** @return array<string, array{string, string, list<string>}> */
    public static function atRules(): array
    {
        $media = '@media (max-width: 40em)';

        return [
            'an import after a rule' => [
                ':root {', "p { margin: 0; }\n@import \"more.css\";\n:root {", ['style/at-rule:late-import'],
            ],
            'an import after a font' => [
                ':root {', "@import url(more.css);\n:root {", ['style/at-rule:late-import'],
            ],
            'medai' => [$media, '@medai (max-width: 40em)', ['style/at-rule:misspelt']],
            'meida' => ['@media print', '@meida print', ['style/at-rule:misspelt']],
            'keyframe' => ['@keyframes glow', '@keyframe glow', ['style/at-rule:misspelt']],
            'key-frames' => ['@keyframes glow', '@key-frames glow', ['style/at-rule:misspelt']],
            'font' => ['@font-face', '@font', ['style/at-rule:misspelt']],
            'fontface' => ['@font-face', '@fontface', ['style/at-rule:misspelt']],
            'support' => ['@supports', '@support', ['style/at-rule:misspelt']],
            'contaner' => ['@container', '@contaner', ['style/at-rule:misspelt']],
            'layers' => ['@layer base', '@layers base', ['style/at-rule:misspelt']],
            'no brackets' => [$media, '@media max-width: 40em', ['style/at-rule:condition']],
            'no brackets behind a type' => [$media, '@media screen and max-width: 40em', ['style/at-rule:condition']],
            'no unit' => [$media, '@media (max-width: 640)', ['style/at-rule:condition']],
            'a space before the unit' => [$media, '@media (max-width: 640 px)', ['style/at-rule:condition']],
            'an unknown feature' => [$media, '@media (max-widht: 640px)', ['style/at-rule:condition']],
            'no and' => [$media, '@media screen (max-width: 640px)', ['style/at-rule:condition']],
            'an equals sign for the colon' => [$media, '@media (max-width; 640px)', ['style/at-rule:condition']],
            'no space behind and' => [$media, '@media screen and(max-width: 640px)', ['style/at-rule:condition']],
            'a keyword for a length' => [$media, '@media (max-width: small)', ['style/at-rule:condition']],
            'an orientation that is none' => [$media, '@media (orientation: wide)', ['style/at-rule:condition']],
            'a misspelt type' => ['@media print', '@media pirnt', ['style/at-rule:condition']],
            'two conditions without and' => [
                $media, '@media (min-width: 20em) (max-width: 40em)', ['style/at-rule:condition'],
            ],
            'and for or without brackets' => [
                $media, '@media (min-width: 20em) and (max-width: 40em) or (orientation: landscape)',
                ['style/at-rule:condition'],
            ],
            'supports without brackets' => ['@supports (display: grid)', '@supports display: grid', ['style/at-rule:condition']],
            'supports with a property alone' => ['@supports (display: grid)', '@supports (display)', ['style/at-rule:condition']],
            'a container without brackets' => [
                '@container (min-width: 30em)', '@container min-width: 30em', ['style/at-rule:condition'],
            ],
            'a layer with a space in its name' => ['@layer base', '@layer base two', ['style/at-rule:condition']],
            'a font without a family' => ['font-family: "Quay"; src', 'src', ['style/at-rule:no-family']],
            'a font without a source' => [' src: url("quay.woff2") format("woff2");', '', ['style/at-rule:no-source']],
            'keyframes without a name' => ['@keyframes glow', '@keyframes', ['style/at-rule:no-name']],
            'media without a block' => ['@media print { nav { display: none; } }', '@media print;', ['style/at-rule:no-block']],
            'an import with a block' => [
                '@font-face {', "@import \"more.css\" { p { margin: 0; } }\n@font-face {", ['style/at-rule:block'],
            ],
        ];
    }

    /** @return array<string, array{string, string, list<string>}> */
    public static function names(): array
    {
        return [
            'a variable that is misspelt' => ['color: var(--ink)', 'color: var(--inc)', ['style/undefined-variable']],
            'a variable in another case' => ['color: var(--ink)', 'color: var(--Ink)', ['style/undefined-variable']],
            'a variable that nobody sets' => ['padding: var(--gap)', 'padding: var(--space)', ['style/undefined-variable']],
            'a variable set on another element' => [
                ':root { --ink: #222222; --paper: #ffffff; --gap: 1rem; }',
                ":root { --ink: #222222; --paper: #ffffff; }\nfooter { --gap: 1rem; }",
                ['style/undefined-variable'],
            ],
            'a variable in a calculation' => [
                'calc(1rem + 2px)', 'calc(var(--gutter) + 2px)', ['style/undefined-variable'],
            ],
            'a variable whose setting lost its dashes' => ['--gap: 1rem', 'gap: 1rem', ['style/undefined-variable']],
            'an animation that is misspelt' => ['animation: glow', 'animation: glwo', ['style/undefined-name:animation']],
            'keyframes that are misspelt' => ['@keyframes glow', '@keyframes flow', ['style/undefined-name:animation']],
            'an animation name alone' => [
                'animation: glow 2s infinite', 'animation-name: shine', ['style/undefined-name:animation'],
            ],
            'an area that is misspelt' => ['grid-area: foot', 'grid-area: foote', ['style/undefined-name:area']],
            'an area that the template lost' => ['"foot foot"', '"tail tail"', ['style/undefined-name:area']],
            'two areas' => ['grid-area: top', 'grid-area: head', ['style/undefined-name:area']],
        ];
    }

    /** @return array<string, array{string, string, list<string>}> */
    public static function values(): array
    {
        $padding = 'padding: calc(1rem + 2px)';
        $invalid = ['style/invalid-value'];

        return [
            'no space around plus' => [$padding, 'padding: calc(1rem+2px)', $invalid],
            'no space before plus' => [$padding, 'padding: calc(1rem+ 2px)', $invalid],
            'no space behind plus' => [$padding, 'padding: calc(1rem +2px)', $invalid],
            'no space around minus' => [$padding, 'padding: calc(1rem-2px)', $invalid],
            'a length times a length' => [$padding, 'padding: calc(1rem * 2px)', $invalid],
            'a length plus a number' => [$padding, 'padding: calc(1rem + 2)', $invalid],
            'a name without dashes' => ['color: var(--ink)', 'color: var(ink)', $invalid],
            'a name with one dash' => ['color: var(--ink)', 'color: var(-ink)', $invalid],
            'an animation that begins with a digit' => ['animation: glow 2s', 'animation: 2glow 2s', $invalid],
            'an area that begins with a digit' => ['grid-area: foot', 'grid-area: 2foot', $invalid],
            'a font list with a semicolon inside' => [
                'font-family: "Quay", sans-serif', 'font-family: "Quay"; sans-serif', ['style/syntax:missing-colon'],
            ],
            'a unit that is none' => [$padding, 'padding: 2pixels', $invalid],
            'a unit apart from its number' => [$padding, 'padding: 2 px', $invalid],
            'no unit' => [$padding, 'padding: 12', $invalid],
            'a comma between lengths' => [$padding, 'padding: 1px, 2px', $invalid],
            'a decimal comma' => [$padding, 'padding: 1,5em', $invalid],
            'a colour without its hash' => ['color: var(--ink)', 'color: 222222', $invalid],
            'a colour with five digits' => ['color: var(--ink)', 'color: #22222', $invalid],
            'a colour with a letter that is no digit' => ['color: var(--ink)', 'color: #22222g', $invalid],
            'a colour in quotation marks' => ['color: var(--ink)', 'color: "navy"', $invalid],
            'a keyword in quotation marks' => ['display: none', 'display: "none"', $invalid],
            'an unbalanced area' => ['"top top"', '"top top top"', $invalid],
            'two values for one' => ['display: none', 'display: none block', $invalid],
            'important without its mark' => ['display: none', 'display: none important', $invalid],
            'rgb with four numbers and no slash' => ['color: var(--ink)', 'color: rgb(1 2 3 4)', $invalid],
            'a url without url()' => [
                'color: var(--ink)', "color: var(--ink);\n  background-image: 'x.png'", $invalid,
            ],
        ];
    }
}
