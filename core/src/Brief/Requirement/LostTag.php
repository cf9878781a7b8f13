<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Style\Selector\SelectorList;

/** An element that is missing because its start tag is. A rule reports the end tag that is left over. */
final readonly class LostTag
{
    /** What stands for anything: an end tag of it that is left over says nothing about a part. */
    private const GENERIC = ['div', 'span'];

    /**
     * @param  list<string>  $names  elements, in lower case
     * @param  int  $lacking  how many elements are missing
     * @return list<string> subjects: the causes of the lack; none where it is more than lost tags
     */
    public static function causes(Page $page, array $names, int $lacking = 1): array
    {
        $offsets = array_keys(array_intersect($page->pairs->stray, array_diff($names, self::GENERIC)));

        return count($offsets) < $lacking
            ? []
            : array_map(fn (int $offset) => Subject::place($page->path(), $offset), $offsets);
    }

    /** @return list<string> as above, of the elements that a selector names */
    public static function of(Page $page, SelectorList $selector, int $lacking = 1): array
    {
        return self::causes($page, $selector->elementNames(), $lacking);
    }
}
