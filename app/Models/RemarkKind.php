<?php

declare(strict_types=1);

namespace App\Models;

/** What an instructor did: inked a finding, rubbed one out, or wrote something of their own. */
enum RemarkKind: string
{
    /** What the instructor wrote, and no rule found. */
    public const WRITTEN = [self::Note, self::Merit];

    case Finding = 'finding';
    case RubbedOut = 'rubbed-out';
    case Note = 'note';
    case Merit = 'merit';

    public function isWritten(): bool
    {
        return in_array($this, self::WRITTEN, true);
    }

    /** What a finding is called on the desk that has such a remark. */
    public function state(): string
    {
        return $this === self::Finding ? 'inked' : $this->value;
    }
}
