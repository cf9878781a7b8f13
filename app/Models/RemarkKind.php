<?php

declare(strict_types=1);

namespace App\Models;

use LogicException;

/** What an instructor did: inked a finding, rubbed one out, or wrote something of their own. */
enum RemarkKind: string
{
    /** What the instructor wrote, and no rule found. */
    public const WRITTEN = [self::Note, self::Question, self::Merit, self::Opening, self::Closing];

    /** Of these a hand-in has one at most, and no place. */
    public const WORDS = [self::Opening, self::Closing];

    case Finding = 'finding';
    case RubbedOut = 'rubbed-out';
    /** Says what to do. */
    case Note = 'note';
    /** Asks the student something. */
    case Question = 'question';
    /** Praises. */
    case Merit = 'merit';
    /** The words that a reply begins with, and those that it ends with. */
    case Opening = 'opening';
    case Closing = 'closing';

    public function isWritten(): bool
    {
        return in_array($this, self::WRITTEN, true);
    }

    /** Whether it stands around the reply: of these a hand-in has one at most, and no place. */
    public function isAroundReply(): bool
    {
        return in_array($this, self::WORDS, true);
    }

    /**
     * What a note is called, which no rule found.
     *
     * @return 'note'|'question'|'merit'|'opening'|'closing'
     */
    public function written(): string
    {
        return match ($this) {
            self::Finding, self::RubbedOut => throw new LogicException("A decision ($this->value) is not a note."),
            default => $this->value,
        };
    }

    /** The decision on a finding that is to be called so; null for one that is to be in pencil. */
    public static function ofState(string $state): ?self
    {
        return match ($state) {
            'inked' => self::Finding,
            'rubbed-out' => self::RubbedOut,
            default => null,
        };
    }

    /**
     * What a finding is called on the desk that has such a remark.
     *
     * @return 'inked'|'rubbed-out'
     */
    public function state(): string
    {
        return $this === self::RubbedOut ? 'rubbed-out' : 'inked';
    }
}
