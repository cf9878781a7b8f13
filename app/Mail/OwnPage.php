<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Student;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** Gives a student the link of their own page. */
final class OwnPage extends Mailable implements ShouldQueue
{
    use Queueable;

    public function __construct(public readonly Student $student, public readonly string $link)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: "Your page for {$this->student->course->title}");
    }

    public function content(): Content
    {
        return new Content(text: 'mail.own-page');
    }
}
