<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Count as CountRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** There are more or fewer of an element than the brief asks for. */
final readonly class Count extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/count',
            Weight::Departure,
            ProofMark::Change,
            'There are more or fewer of an element than the brief asks for.',
            ['markup/stray-end-tag'],
        );
    }

    public function examples(): array
    {
        $asked = 'kind: count, selector: h2, exactly: 2';
        $right = '<h2>Birds</h2><p>Puffins.</p><h2>Seals</h2><p>Grey.</p>';

        return [
            new Example('too-few', '<h2>Birds</h2><p>Puffins.</p>', $right, $asked),
            new Example(
                'unused',
                '<ul><li>Puffins</li></ul>',
                '<ul><li>Puffins</li></ul><p><em>Grey</em> seals.</p>',
                'kind: count, each_of: [ul, em]',
            ),
            new Example('too-many', "$right<h2>Crabs</h2><p>Green.</p>", $right, $asked),
        ];
    }

    public function speaksFor(): array
    {
        return [CountRequirement::class => CountRequirement::variants()];
    }
}
