<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Stylesheets;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** What the brief asks for of the stylesheets besides their links. */
final readonly class Stylesheet extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/stylesheet',
            Weight::Departure,
            ProofMark::Insert,
            'The stylesheets do not hold what the brief asks for.',
            ['link/missing-file'],
        );
    }

    public function examples(): array
    {
        $site = fn (string $css) => [
            'index.html' => Example::page(
                '<p>Puffins nest here.</p>',
                head: '<link rel="stylesheet" href="site.css">'."\n",
            ),
            'site.css' => $css,
        ];
        $embedded = fn (string $head) => ['index.html' => Example::page('<p>Puffins nest here.</p>', head: $head)];
        $given = ['sheets' => ['site.css' => "p {\n  margin: 0\n}\n"]];
        $use = "kind: stylesheets, uses: ['p { margin }']";

        return [
            new Example('use', $site('p { padding: 0 }'), $site('p { padding: 0; margin: 0 }'), $use),
            new Example(
                'few-rules',
                $site('p { margin: 0 }'),
                $site('p { margin: 0 } h1 { margin: 0 }'),
                'kind: stylesheets, at_least_rules: 2',
            ),
            new Example(
                'not-inline',
                '<p>Puffins nest here.</p>',
                '<p style="margin: 0">Puffins nest here.</p>',
                'kind: stylesheets, inline: wanted',
            ),
            new Example(
                'not-embedded',
                $embedded(''),
                $embedded("<style>p { margin: 0 }</style>\n"),
                'kind: stylesheets, embedded: wanted',
            ),
            new Example(
                'given-missing',
                $embedded(''),
                $site('p { margin: 0 }'),
                'kind: stylesheets, given: true',
                materials: $given,
            ),
            new Example(
                'given-changed',
                $site('p { margin: 9px }'),
                $site("p {\n  margin: 0\n}"),
                'kind: stylesheets, given: true',
                materials: $given,
            ),
        ];
    }

    public function speaksFor(): array
    {
        return [Stylesheets::class => [
            'use',
            'few-rules',
            'not-inline',
            'not-embedded',
            'given-missing',
            'given-changed',
        ]];
    }
}
