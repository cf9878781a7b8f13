<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Nav;

use InkedMargin\Core\Brief\Comparison\MenuShortfall;
use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Consistency\MenuDifferences;

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
        'link/local-path', 'link/empty', 'link/bad-address', 'link/bad-scheme', 'link/missing-scheme',
        'link/missing-fragment', 'link/folder-without-index',
        'file/missing', 'file/name',
        'nav/missing-menu',
    ];

    final public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $requirement = $exam->brief->covering($page->path(), Navigation::class);
            if ($requirement?->commonMenu($exam->site) !== null) {
                continue;
            }
            $menu = $exam->site->fact(MenuDifferences::class)->on($page->path());
            foreach ($menu->differences ?? [] as $difference) {
                if ($menu !== null
                    && Navigation::ruleFor(MenuShortfall::variant($difference->kind)) === $this->id) {
                    yield $this->drafted(MenuShortfall::of($difference, $page, $menu->common, $exam->site));
                }
            }
        }
    }
}
