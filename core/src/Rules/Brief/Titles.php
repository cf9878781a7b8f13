<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Titles as TitlesRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** A title that does not have the form that the brief gives. */
final readonly class Titles extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/titles',
            Weight::Departure,
            ProofMark::Change,
            'A title does not have the form that the brief asks for.',
            ['content/default-title', 'content/same-title'],
        );
    }

    public function examples(): array
    {
        $page = fn (string $title) => ['index.html' => Example::page('<p>Puffins nest here.</p>', $title)];

        return [new Example(
            '',
            $page('Birds'),
            $page('Marrow Sound - Birds'),
            'kind: titles, pattern: "Marrow Sound - *"',
        )];
    }

    public function speaksFor(): array
    {
        return [TitlesRequirement::class => ['form']];
    }
}
