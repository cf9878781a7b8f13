<?php

declare(strict_types=1);

namespace App\Models;

/** What an instructor did: inked a finding, rubbed one out, or wrote something of their own. */
enum RemarkKind: string
{
    case Finding = 'finding';
    case RubbedOut = 'rubbed-out';
    case Note = 'note';
    case Merit = 'merit';

    /** Whether the instructor wrote it, and no rule found it. */
    public function isWritten(): bool
    {
        return $this === self::Note || $this === self::Merit;
    }

    /** What a finding is called on the desk that has such a remark. */
    public function state(): string
    {
        return $this === self::Finding ? 'inked' : $this->value;
    }
}
