<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Skeleton as SkeletonRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** A part of the brief's skeleton is missing, out of order, or inside another part. */
final readonly class Skeleton extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/skeleton',
            Weight::Departure,
            ProofMark::Insert,
            'A part that the brief asks for is missing, out of order, or inside another part.',
            ['markup/unclosed-element', 'markup/stray-end-tag'],
        );
    }

    public function examples(): array
    {
        $right = '<header><p>Sound</p></header><main><p>Puffins.</p></main>';
        $asked = 'kind: skeleton, parts: [header, main]';

        return [
            new Example('missing', '<header><p>Sound</p></header><p>Puffins.</p>', $right, $asked),
            new Example('order', '<main><p>Puffins.</p></main><header><p>Sound</p></header>', $right, $asked),
            new Example(
                'inside',
                '<div id="top"><p>Sound</p><div id="text"><p>Puffins.</p></div></div>',
                '<div id="top"><p>Sound</p></div><div id="text"><p>Puffins.</p></div>',
                'kind: skeleton, parts: ["div#top", "div#text"]',
            ),
        ];
    }

    public function speaksFor(): array
    {
        return [SkeletonRequirement::class => SkeletonRequirement::variants()];
    }
}
