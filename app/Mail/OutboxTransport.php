<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Letter;
use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Message;
use Symfony\Component\Mime\MessageConverter;

/** Puts letters where whoever runs the installation can read them, as long as no mail server is set. */
final class OutboxTransport extends AbstractTransport
{
    public const NAME = 'outbox';

    protected function doSend(SentMessage $message): void
    {
        $email = $message->getOriginalMessage();
        if (! $email instanceof Message) {
            throw new TransportException('Only letters that can be read go to the outbox.');
        }
        $email = MessageConverter::toEmail($email);
        Letter::query()->create([
            'to' => implode(
                ', ',
                array_map(fn (Address $one) => $one->getAddress(), $message->getEnvelope()->getRecipients()),
            ),
            'subject' => (string) $email->getSubject(),
            'body' => (string) $email->getTextBody(),
        ]);
    }

    public function __toString(): string
    {
        return self::NAME;
    }
}
