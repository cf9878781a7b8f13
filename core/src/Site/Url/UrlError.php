<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Url;

/** The URL Standard says "failure": the text is no address that a browser would follow. */
final class UrlError extends \DomainException
{
    public function __construct(public readonly UrlProblem $problem)
    {
        parent::__construct($problem->value);
    }
}
