<?php

declare(strict_types=1);

namespace App\Console;

use App\Work\Messages;
use App\Work\Work;
use App\Work\WorkMessage;
use App\Work\WorkMessageKind;
use Illuminate\Console\Command;

/** The process beside a worker that does what may be the end of it. It ends when the worker does. */
final class WorkApart extends Command
{
    protected $signature = 'work:apart';

    protected $description = 'Does the work of a queue worker in a process of its own; a worker starts it';

    protected $hidden = true;

    public function handle(): int
    {
        $in = fopen('php://stdin', 'r');
        $out = @fopen('php://fd/3', 'w');
        if ($in === false || $out === false) {
            $this->error('A queue worker starts this command when it needs it.');

            return self::FAILURE;
        }
        stream_set_blocking($in, false);
        // A worker that is asked to end finishes what it is at, for which it needs this process.
        foreach ([SIGTERM, SIGINT, SIGHUP] as $signal) {
            pcntl_signal($signal, SIG_IGN);
        }
        $messages = new Messages($in, $out);
        while (($message = $messages->receive()) instanceof WorkMessage) {
            // Whoever asked may be gone: nobody else ends what has no end.
            pcntl_alarm($message->seconds + 1);
            if (! $messages->send(self::answer($message, $messages))) {
                break;
            }
            pcntl_alarm(0);
        }

        return self::SUCCESS;
    }

    private static function answer(WorkMessage $message, Messages $messages): WorkMessage
    {
        try {
            $result = $message->content instanceof Work
                ? $message->content->run(function (mixed $told) use ($messages): void {
                    $messages->send(new WorkMessage(WorkMessageKind::Told, $told));
                })
                : null;

            return new WorkMessage(WorkMessageKind::Result, $result);
        } catch (\Throwable $error) {
            $words = $error::class.": {$error->getMessage()}\n{$error->getTraceAsString()}";

            return new WorkMessage(WorkMessageKind::Error, $words);
        }
    }
}
