<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** A note that somebody else changed first. */
final readonly class NoteConflict
{
    /** @param  DeskNote  $note  theirs, which stays */
    public function __construct(public string $message, public DeskNote $note)
    {
    }
}
