<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

/** What is wrong at a place, and what to do about it, in words for a beginner. */
final readonly class Words
{
    /**
     * @param  string  $remedy  '' where there is nothing to type
     * @param  string  $variant  of the rule that says it; '' where that has only one
     */
    public function __construct(public string $message, public string $remedy, public string $variant = '')
    {
    }
}
