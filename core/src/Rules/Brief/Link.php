<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Link as LinkRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** A link that the brief asks for. */
final readonly class Link extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/link',
            Weight::Departure,
            ProofMark::Insert,
            'A link that the brief asks for is missing, or not as it asks.',
            [
                'file/missing', 'link/missing-file', 'link/letter-case', 'link/wrong-folder', 'link/outside-site',
                'link/local-path', 'link/bad-address', 'file/name',
            ],
        );
    }

    public function examples(): array
    {
        $page = fn (string $link) => "<p>The $link has more.</p>";
        $right = $page('<a href="https://gulls.example/" target="_blank" rel="noopener">gull house</a>');
        $asked = 'kind: link, to: "https://gulls.example/", label: gull house, new_tab: true';

        return [
            new Example('missing', $page('gull house'), $right, $asked),
            new Example('label', str_replace('gull house', 'museum', $right), $right, $asked),
            new Example(
                'tab',
                str_replace(' target="_blank" rel="noopener"', '', $right),
                $right,
                'kind: link, to: "https://gulls.example/", new_tab: true',
            ),
        ];
    }

    public function speaksFor(): array
    {
        return [LinkRequirement::class => LinkRequirement::variants()];
    }
}
