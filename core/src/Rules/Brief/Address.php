<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Address as AddressRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** The address of the site is not one that the brief asks for. */
final readonly class Address extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/address',
            Weight::Departure,
            ProofMark::Change,
            'The address of the site is not one that the brief asks for.',
        );
    }

    public function examples(): array
    {
        $page = '<p>Puffins nest here.</p>';
        $example = fn (string $variant, string $bad, string $good, string $brief) => new Example(
            $variant,
            $page,
            $page,
            $brief,
            address: [$bad, $good],
        );

        return [
            $example('own-computer', 'http://localhost:8080/', 'https://wren.example/', 'kind: address'),
            $example(
                'host',
                'https://gull.example/',
                'https://ada.wren.example/',
                'kind: address, host: "*.wren.example"',
            ),
            $example(
                'path',
                'https://wren.example/other/',
                'https://wren.example/almanac/',
                'kind: address, path: /almanac/*',
            ),
            $example('insecure', 'http://wren.example/', 'https://wren.example/', 'kind: address, https: true'),
        ];
    }

    public function speaksFor(): array
    {
        return [AddressRequirement::class => AddressRequirement::variants()];
    }
}
