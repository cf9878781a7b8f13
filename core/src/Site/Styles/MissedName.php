<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

/** A name in a selector that no page has, where one that they have is plainly meant. */
final readonly class MissedName
{
    /**
     * @param  string  $written  in the stylesheet, with its sign
     * @param  string  $slip  in what way it misses: kind, case, space, spelling or dot
     * @param  string  $meant  with its sign; for `space` two class names
     */
    public function __construct(public string $written, public string $slip, public string $meant)
    {
    }
}
