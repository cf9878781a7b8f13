<?php

declare(strict_types=1);

namespace InkedMargin\Core\Marking;

/** What a requirement came to. */
enum OutcomeKind: string
{
    case Met = 'met';
    case Partly = 'partly';
    case Unmet = 'unmet';
    /** It waits for a person, or for something that was not sent: neither nothing nor all. */
    case NotJudged = 'not-judged';

    /** As people read it. */
    public function words(): string
    {
        return $this === self::NotJudged ? 'not judged yet' : $this->value;
    }

    /** @param  float|null  $met the share that is met, 0 to 1 */
    public static function of(?float $met): self
    {
        return match (true) {
            $met === null => self::NotJudged,
            $met >= 1.0 => self::Met,
            $met <= 0.0 => self::Unmet,
            default => self::Partly,
        };
    }
}
