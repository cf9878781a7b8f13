<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\MenuShortfall;
use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Menu\MenuDifferenceKind;
use InkedMargin\Core\Site\Menu\MenuDifferences;

/**
 * A rule about how the menu of a page differs from the one that it should be: the brief's, or what the pages that share
 * a menu have in common. Pages with a menu of their own are held against nothing. Common practice.
 */
abstract readonly class MenuRule extends Rule
{
    /** @var list<string> rules that explain a menu that differs */
    protected const EXPLAINED_BY = [
        'markup/unclosed-element', 'markup/stray-end-tag',
        'link/label-mismatch', 'link/missing-file', 'link/letter-case', 'link/wrong-folder', 'link/outside-site',
        'link/local-path', 'link/empty', 'link/bad-address', 'link/missing-scheme', 'link/folder-without-index',
        'file/missing', 'file/name',
        'nav/missing-menu',
    ];

    /** @return list<string> variants of a navigation requirement's shortfalls */
    abstract protected function menuVariants(): array;

    /** @return array<class-string<Requirement>, list<string>> */
    final public function speaksFor(): array
    {
        return [Navigation::class => $this->menuVariants()];
    }

    final public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $requirement = $exam->brief->covering($page->path(), Navigation::class);
            if ($requirement?->commonMenu($exam->site) !== null) {
                continue;
            }
            [$common, $differences] = $exam->site->fact(MenuDifferences::class)->on($page->path()) ?? [null, []];
            foreach ($differences as $difference) {
                if ($common !== null && in_array(
                    MenuShortfall::variant($difference->kind),
                    $this->menuVariants(),
                    true,
                )) {
                    yield $this->shortfallFinding(MenuShortfall::of($difference, $page, $common, $exam->site), null);
                }
            }
        }
    }

    /** @return list<string> */
    final protected static function variantsOf(MenuDifferenceKind ...$kinds): array
    {
        return array_values(array_map(MenuShortfall::variant(...), $kinds));
    }

    /**
     * A site of five pages with a menu, one of them changed.
     *
     * @return array<string, string>
     */
    final protected static function site(string $from = '', string $to = ''): array
    {
        $names = ['index' => 'Home', 'tides' => 'Tides', 'birds' => 'Birds', 'ferry' => 'Ferry', 'seals' => 'Seals'];
        $site = [];
        foreach ($names as $own => $title) {
            $items = array_map(
                fn (
                    string $file,
                    string $label,
                ) => $file === $own ? "<li>$label</li>" : "<li><a href=\"$file.html\">$label</a></li>",
                array_keys($names),
                $names,
            );
            $body = '<header><p>Marrow Sound</p></header><nav><ul>'.implode('', $items)
                .'</ul></nav><main><p>All about the '
                .strtolower($title)
                .'.</p></main>';
            $site["$own.html"] = $own === 'tides' && $from !== '' ? str_replace($from, $to, $body) : $body;
        }

        return $site;
    }
}
