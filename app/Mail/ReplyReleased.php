<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\HandIn;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** Tells a student that a reply is there, with the link to it. */
final class ReplyReleased extends Mailable implements ShouldQueue
{
    use Queueable;

    /** @param  string  $link  to the reply, on the student's own page */
    public function __construct(public readonly HandIn $handIn, public readonly string $link)
    {
        $this->afterCommit();
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: "Your reply: {$this->handIn->assignment->title}");
    }

    public function content(): Content
    {
        return new Content(text: 'mail.reply-released');
    }
}
