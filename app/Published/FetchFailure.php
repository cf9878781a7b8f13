<?php

declare(strict_types=1);

namespace App\Published;

/** A published site could not be fetched; the message is for whoever handed it in. */
final class FetchFailure extends \RuntimeException
{
    public function __construct(public readonly Trouble $trouble, string $message)
    {
        parent::__construct($message);
    }
}
