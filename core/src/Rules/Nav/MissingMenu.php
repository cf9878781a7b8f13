<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;

/**
 * A page without the menu that the others have, or pages with no menu in common where the brief asks for one. Common
 * practice.
 */
final readonly class MissingMenu extends MenuRule
{
    public function __construct()
    {
        parent::__construct(
            'nav/missing-menu',
            Weight::Departure,
            ProofMark::Insert,
            'A page does not have the menu of the other pages.',
            ['markup/unclosed-element', 'markup/content-model'],
        );
    }

    public function examples(): array
    {
        $nav = '<nav><ul><li><a href="index.html">Home</a></li><li>Tides</li><li><a '
            .'href="birds.html">Birds</a></li><li><a href="ferry.html">Ferry</a></li><li><a '
                .'href="seals.html">Seals</a></li></ul></nav>';
        $none = [
            'index.html' => '<p><a href="tides.html">Tides</a></p>',
            'tides.html' => '<p><a href="index.html">Home</a></p>',
        ];

        return [
            new Example('no-menu', self::site($nav), self::site()),
            new Example('no-common-menu', $none, self::site(), 'kind: navigation, same_everywhere: true'),
        ];
    }

    protected function menuVariants(): array
    {
        return [...self::variantsOf(MenuDifferenceKind::NoMenu), 'no-common-menu'];
    }
}
