<?php

declare(strict_types=1);

use App\Mail\OutboxTransport;

// The rest is the framework's own; docs/running.md says how to set a mail server.
return [

    'default' => env('MAIL_MAILER', OutboxTransport::NAME),

    'mailers' => [OutboxTransport::NAME => ['transport' => OutboxTransport::NAME]],

];
