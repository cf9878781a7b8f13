<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Headings as HeadingsRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** A heading is not as the brief asks for. */
final readonly class Headings extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/headings',
            Weight::Departure,
            ProofMark::Change,
            'A heading is not as the brief asks for.',
            ['markup/stray-end-tag'],
        );
    }

    public function examples(): array
    {
        $two = fn (string $heading) => [
            'index.html' => '<h2>Home</h2><p><a href="birds.html">Birds</a></p>',
            'birds.html' => "<h2>$heading</h2><p><a href=\"index.html\">Home</a></p>",
        ];
        $header = fn (string $inside, string $after) => "<header>$inside</header>$after<p>Puffins nest here.</p>";
        $heading = '<h1>Marrow Sound</h1>';

        return [
            new Example(
                'missing',
                '<p>Puffins nest here.</p>',
                '<h2>Birds</h2><p>Puffins nest here.</p>',
                'kind: headings, level: 2',
            ),
            new Example(
                'form',
                '<h2>Birds</h2><p>Puffins.</p>',
                '<h2>The birds</h2><p>Puffins.</p>',
                'kind: headings, level: 2, pattern: The *',
            ),
            new Example('repeated', $two('Home'), $two('Birds'), 'kind: headings, level: 2, differ: true'),
            new Example(
                'place',
                $header('<p>An almanac</p>', $heading),
                $header($heading, ''),
                'kind: headings, inside: header',
            ),
        ];
    }

    public function speaksFor(): array
    {
        return [HeadingsRequirement::class => HeadingsRequirement::variants()];
    }
}
