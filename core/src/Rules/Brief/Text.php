<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Text as TextRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** A text does not say what the brief asks for, or is too long or too short. */
final readonly class Text extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/text',
            Weight::Departure,
            ProofMark::Change,
            'A text does not say what the brief asks for, or is too long or too short.',
            ['markup/stray-end-tag'],
        );
    }

    public function examples(): array
    {
        $cell = fn (string $text) => "<table><caption>Tides</caption><tr><th>Place</th><td>$text</td></tr></table>";
        $sentences = 'kind: text, selector: td, at_least: 2, at_most: 3, of: sentences';
        $copy = fn (string $files, string ...$more) => ['copy' => ['opening.txt' => $files]];
        $opening = "The last crossing leaves\nwhen the lamp is lit.\n\nBring a coat.\n";
        $given = 'kind: text, selector: main, copy: opening.txt, alone: true';
        $main = fn (string ...$paragraphs) => '<main><p>'.implode('</p><p>', $paragraphs).'</p></main>';
        $right = ['The last crossing <em>leaves</em> when the lamp is lit.', 'Bring a coat.'];

        return [
            new Example(
                'absent',
                '<p>High water is at noon.</p>',
                $cell('High water.'),
                'kind: text, selector: td, at_least: 1',
            ),
            new Example(
                'unsaid',
                $cell('High water is at noon.'),
                $cell('Low water is at noon.'),
                'kind: text, selector: td, has: low water',
            ),
            new Example(
                'said',
                $cell('Click here for the tides.'),
                $cell('The tides of May.'),
                'kind: text, has_not: click here',
            ),
            new Example(
                'too-few',
                $cell('High water is at noon.'),
                $cell('High water is at noon. Wait for it.'),
                $sentences,
            ),
            new Example('too-many', $cell('One. Two. Three. Four.'), $cell('One. Two. Three.'), $sentences),
            new Example(
                'copy',
                $main('The last crossings <em>leaves</em> when the lamp is lit.', 'Bring a coat.'),
                $main(...$right),
                $given,
                materials: $copy($opening),
            ),
            new Example(
                'surplus',
                $main(...$right, ...['Do come.']),
                $main(...$right),
                $given,
                materials: $copy($opening),
            ),
        ];
    }

    public function speaksFor(): array
    {
        return [TextRequirement::class => TextRequirement::variants()];
    }
}
