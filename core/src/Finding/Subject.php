<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Source\Span;

/**
 * Names for what a finding is about, so that two rules that see the same slip can be matched.
 *
 * A finding is dropped when a rule that supersedes its own reports one of its subjects or possible causes.
 */
final readonly class Subject
{
    public static function page(string $path): string
    {
        return "page:$path";
    }

    /** The pages of the site, however many there are. */
    public static function pages(): string
    {
        return 'pages';
    }

    /** A file of the site, or one that should be there. */
    public static function file(string $path): string
    {
        return "file:$path";
    }

    public static function element(string $page, Element $element): string
    {
        return "element:$page:".($element->isWritten() ? $element->place()->start : "-{$element->name}");
    }

    /** A place in a file, by its byte offset. */
    public static function place(string $file, int $offset): string
    {
        return "place:$file:$offset";
    }

    /** A place in CSS, by where it starts there. */
    public static function inCss(StyleSource $source, Span $span): string
    {
        return self::place($source->path(), $span->start);
    }

    /** An entry of a page's menu, or what should be one, by the page or address that it leads to. */
    public static function way(string $from, string $to): string
    {
        return "way:$from>$to";
    }
}
