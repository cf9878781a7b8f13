<?php

declare(strict_types=1);

namespace App\Mail;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** Lets somebody who forgot their password set another. */
final class PasswordForgotten extends Mailable
{
    public function __construct(public readonly string $link)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'Set another password');
    }

    public function content(): Content
    {
        return new Content(text: 'mail.password-forgotten');
    }
}
