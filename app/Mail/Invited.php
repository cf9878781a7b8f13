<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Invitation;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** Asks somebody to help with a course. */
final class Invited extends Mailable
{
    public function __construct(public readonly Invitation $invitation, public readonly string $link)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: "You are asked to help with {$this->invitation->course->title}");
    }

    public function content(): Content
    {
        return new Content(text: 'mail.invited');
    }
}
