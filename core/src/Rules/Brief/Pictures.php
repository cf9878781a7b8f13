<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Pictures as PicturesRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** A page has more, fewer or larger pictures than the brief asks for. */
final readonly class Pictures extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/pictures',
            Weight::Departure,
            ProofMark::Change,
            'A page has more, fewer or larger pictures than the brief asks for.',
        );
    }

    public function examples(): array
    {
        $files = fn (string $body) => [
            'index.html' => $body.'<p><img src="gull.svg" alt="A gull"></p>',
            'gull.svg' => '<svg xmlns="http://www.w3.org/2000/svg"/>',
        ];
        $large = fn (int $bytes) => [
            'index.html' => '<p><img src="gull.svg" alt="A gull"></p>',
            'gull.svg' => '<svg xmlns="http://www.w3.org/2000/svg"><!--'.str_repeat('-', $bytes).'--></svg>',
        ];
        $none = ['index.html' => '<p>Puffins nest here.</p>'];

        return [
            new Example('too-few', $none, $files(''), 'kind: pictures, at_least: 1'),
            new Example(
                'too-many',
                $files('<p><img src="gull.svg" alt="Another gull"></p>'),
                $files(''),
                'kind: pictures, at_most: 1',
            ),
            new Example('too-large', $large(1_100), $large(900), 'kind: pictures, largest: 1'),
        ];
    }

    public function speaksFor(): array
    {
        return [PicturesRequirement::class => ['too-few', 'too-many', 'too-large']];
    }
}
