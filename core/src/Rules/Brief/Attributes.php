<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Attributes as AttributesRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** An element has not the attributes that the brief asks for. */
final readonly class Attributes extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/attributes',
            Weight::Departure,
            ProofMark::Change,
            'An element has not the attributes that the brief asks for.',
        );
    }

    public function examples(): array
    {
        $link = fn (string $attributes) => "<p><a$attributes href=\"index.html\">Home</a></p>";
        $picture = fn (string $width) => [
            'index.html' => "<p><img src=\"gull.gif\" alt=\"A gull\" width=\"$width\" height=\"1\"></p>",
            'gull.gif' => base64_decode('R0lGODlhAQABAIAAAP///wAAACH5BAEAAAAALAAAAAABAAEAAAICRAEAOw==', true) ?: '',
        ];

        return [
            new Example(
                'missing',
                $link(''),
                $link(' title="To the home page"'),
                'kind: attributes, selector: a, has: title',
            ),
            new Example(
                'value',
                $link(' title="Home"'),
                $link(' title="To the quay"'),
                'kind: attributes, selector: a, has: "title=To *"',
            ),
            new Example('forbidden', $link(' title="Home"'), $link(''), 'kind: attributes, selector: a, only: href'),
            new Example('size', $picture('2'), $picture('1'), 'kind: attributes, selector: img, picture_size: true'),
        ];
    }

    public function speaksFor(): array
    {
        return [AttributesRequirement::class => AttributesRequirement::variants()];
    }
}
