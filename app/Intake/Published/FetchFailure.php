<?php

declare(strict_types=1);

namespace App\Intake\Published;

/** A published site could not be fetched; the message is for whoever handed it in. */
final class FetchFailure extends \RuntimeException
{
    /** Minutes after which to look again, each time that it was in vain: publishing takes its time. */
    private const AGAIN = [1, 5, 15];

    public function __construct(public readonly Trouble $trouble, string $message)
    {
        parent::__construct($message);
    }

    /**
     * @param  int  $looks  how often it was looked for in vain before
     * @return int|null minutes until the next look; null where there is none
     */
    public function minutesToNextLook(int $looks): ?int
    {
        return $this->trouble->mayPass() ? self::AGAIN[$looks] ?? null : null;
    }
}
