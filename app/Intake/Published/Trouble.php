<?php

declare(strict_types=1);

namespace App\Intake\Published;

/** Why a published site could not be fetched. */
enum Trouble: string
{
    case NoAddress = 'no-address';
    case OwnMachine = 'own-machine';
    case UnknownHost = 'unknown-host';
    case NoAnswer = 'no-answer';
    case NotFound = 'not-found';
    case NoIndex = 'no-index';
    case NotAPage = 'not-a-page';
    case Refused = 'refused';
    case TooLarge = 'too-large';
    case RoundAndRound = 'round-and-round';

    /** Whether it may be otherwise in a while: publishing takes its time. */
    public function mayPass(): bool
    {
        return in_array($this, [self::UnknownHost, self::NoAnswer, self::NotFound, self::Refused], true);
    }
}
