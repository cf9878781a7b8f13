<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

/** A brief could not be read: every problem found, each with the field it stands in. */
final class BriefError extends \DomainException
{
    /** @param  non-empty-list<string>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", $problems));
    }
}
