<?php

declare(strict_types=1);

namespace InkedMargin\Core\Command;

/** A check of one hand-in that runs beside others. */
final readonly class RunningCheck
{
    /**
     * @param  resource  $process
     * @param  resource  $answer where its answer goes
     */
    public function __construct(public string $path, public mixed $process, public mixed $answer)
    {
    }
}
