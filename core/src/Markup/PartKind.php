<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** The parts of a page as beginners' briefs name them. */
enum PartKind: string
{
    /** What stands around the content of a page, and is alike on many. */
    public const AROUND = [self::Header, self::Nav, self::Footer];

    case Header = 'header';
    case Nav = 'nav';
    case Main = 'main';
    case Footer = 'footer';

    /** By what the page calls an element: its name, its role, or, for a div or section, its id or a class. */
    public static function of(Element $element): ?self
    {
        $named = self::tryFrom($element->name);
        if ($named !== null || $element->attributes === []) {
            return $named;
        }
        $byRole = self::named(strtolower(trim($element->value('role') ?? '')));
        if ($byRole !== null || ! in_array($element->name, ['div', 'section'], true)) {
            return $byRole;
        }
        foreach ([$element->value('id') ?? '', ...$element->classes()] as $name) {
            $part = self::named(strtolower($name));
            if ($part !== null) {
                return $part;
            }
        }

        return null;
    }

    /**
     * Roles of WAI-ARIA 1.2, section 5.3.4 (landmarks), and the ids and classes that beginners use. Common practice.
     */
    private static function named(string $name): ?self
    {
        return match ($name) {
            'banner', 'header', 'head', 'masthead', 'page-header', 'site-header' => self::Header,
            'navigation', 'nav', 'menu', 'navbar', 'nav-bar', 'navmenu', 'main-nav', 'main-menu', 'mainnav',
            'links' => self::Nav,
            'main', 'content', 'main-content', 'maincontent' => self::Main,
            'contentinfo', 'footer', 'foot', 'page-footer', 'site-footer' => self::Footer,
            default => null,
        };
    }
}
