<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Kind\Stylesheets;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/**
 * The order of the stylesheets against the brief. A later sheet wins over an earlier one (CSS Cascade 4, section
 * 6.4.3).
 */
final readonly class SheetOrder extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'style/sheet-order',
            Weight::Departure,
            ProofMark::Move,
            'The stylesheets are not linked in the order that the brief asks for.',
        );
    }

    public function examples(): array
    {
        $link = fn (string $sheet) => "<link rel=\"stylesheet\" href=\"$sheet.css\">\n";
        $site = fn (string $head) => [
            'index.html' => Example::page('<p>Puffins nest here.</p>', head: $head),
            'plain.css' => 'p { margin: 0 }',
            'site.css' => 'p { color: #222 }',
        ];

        return [new Example(
            '',
            $site($link('site').$link('plain')),
            $site($link('plain').$link('site')),
            'kind: stylesheets, sheets: [plain.css, site.css]',
        )];
    }

    public function speaksFor(): array
    {
        return [Stylesheets::class => ['order']];
    }
}
