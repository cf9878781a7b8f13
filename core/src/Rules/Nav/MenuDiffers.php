<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;

/** Entries, labels and addresses of a page’s menu against the other pages’, or the brief’s. Common practice. */
final readonly class MenuDiffers extends MenuRule
{
    public function __construct()
    {
        parent::__construct(
            'nav/menu-differs',
            Weight::Departure,
            ProofMark::Change,
            'An entry of the menu is missing, extra, renamed or leads elsewhere.',
            self::EXPLAINED_BY,
        );
    }

    public function examples(): array
    {
        $asked = 'kind: navigation, same_everywhere: true, pages: tides.html, own: ';
        $map = ['map.html' => str_replace(
            ['<li>Home</li>', 'the home'],
            ['<li><a href="index.html">Home</a></li>', 'the map'],
            self::site()['index.html'],
        )];
        $linked = self::site('<li>Tides</li>', '<li><a href="tides.html">Tides</a></li>');

        return [
            new Example('missing-entry', self::site('<li><a href="ferry.html">Ferry</a></li>', ''), self::site()),
            new Example(
                'extra-entry',
                self::site('</ul>', '<li><a href="map.html">Map</a></li></ul>') + $map,
                self::site(),
            ),
            new Example('renamed', self::site('>Ferry<', '>Boats<'), self::site()),
            new Example('readdressed', self::withParts('index.html#shop'), self::withParts('index.html#news')),
            new Example('own-linked', $linked, self::site(), $asked.'plain'),
            new Example('own-plain', self::site(), $linked, $asked.'linked'),
        ];
    }

    /**
     * @return array<string, string> the site with two parts of its home page in the menu, one of them changed on one
     *     page
     */
    private static function withParts(string $news): array
    {
        $site = [];
        foreach (self::site() as $path => $body) {
            $address = $path === 'tides.html' ? $news : 'index.html#news';
            $site[$path] = str_replace(
                '</ul>',
                "<li><a href=\"$address\">News</a></li><li><a href=\"index.html#shop\">Shop</a></li></ul>",
                $body,
            );
        }

        return ['index.html' => "{$site['index.html']}<p id=\"news\">New</p><p id=\"shop\">Shop</p>"] + $site;
    }

    protected function menuVariants(): array
    {
        return self::variantsOf(
            MenuDifferenceKind::Missing,
            MenuDifferenceKind::Extra,
            MenuDifferenceKind::Renamed,
            MenuDifferenceKind::Readdressed,
            MenuDifferenceKind::OwnLinked,
            MenuDifferenceKind::OwnPlain,
        );
    }
}
