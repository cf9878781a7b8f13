<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

/** Nothing was taken in: the reason, and a message that names the entry and the limit for the person who sent it. */
final class Refusal extends \RuntimeException
{
    public function __construct(public readonly RefusalReason $reason, string $message)
    {
        parent::__construct($message);
    }
}
