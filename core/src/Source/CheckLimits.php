<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/**
 * How large a site may be to be judged whole. A hand-in within these ends in 20 seconds and 384 MB; what is larger is
 * reported as not judged. Students' sites stay below a hundredth of most of them.
 */
final readonly class CheckLimits
{
    /** Bytes of a page. */
    public const PAGE_BYTES = 2_000_000;

    /** Bytes of all pages. */
    public const ALL_PAGE_BYTES = 12_000_000;

    public const PAGES = 500;

    /** Tags, attributes and comments of a page. */
    public const TAGS = 60_000;

    /** Elements inside each other. Browsers stop nesting at about so many (from memory). */
    public const NESTING = 512;

    /** Formatting elements such as `b` that are open at once. */
    public const FORMATTING = 100;

    /** Bytes of a stylesheet. */
    public const SHEET_BYTES = 2_500_000;

    /** Bytes of all stylesheets. */
    public const ALL_SHEET_BYTES = 6_000_000;

    /** Style rules, selectors and declarations of a stylesheet, and of all that a page loads. */
    public const STYLES = 60_000;

    /**
     * All tags, attributes and comments of pages, and four times the rules, selectors and declarations of stylesheets
     * and `style` attributes.
     */
    public const SITE = 250_000;

    /** Stylesheets that a page loads, counted as often as they are imported. */
    public const LOADED_SHEETS = 200;

    /** Steps of holding selectors against elements, on all pages. */
    public const MATCHING = 3_000_000;
}
