<?php

declare(strict_types=1);

namespace App\Work;

use Illuminate\Support\Facades\Log;
use InkedMargin\Core\Source\English;

/**
 * A second process beside a worker, which does work that may be the end of it: a crash, too little memory or a work
 * without end stop that work alone, and the next one begins in a new process. It is kept from one work to the next, as
 * starting it takes longer than most of what it does.
 */
final class WorkProcess
{
    /** Pieces of work, after which a new one takes its place, so that it never grows old. */
    private const MOST = 500;

    private const MEMORY = '512M';

    /** Seconds between two looks at whether somebody still waits for the work. */
    private const LOOK = 0.5;

    private static ?self $running = null;

    private int $done = 0;

    /** @param  resource  $process */
    private function __construct(private $process, private readonly Messages $messages)
    {
    }

    /**
     * Here, where no process stays that could have one beside it: one that answers a request does not.
     *
     * @param  int  $seconds  after which the work is ended
     * @param  \Closure(mixed): void  $hear  called with what the work tells
     * @param  (\Closure(): bool)|null  $isWanted  whether somebody still waits for it: where nobody does, it ends
     *
     * @throws ProcessEnded
     */
    public static function run(Work $work, int $seconds, \Closure $hear, ?\Closure $isWanted = null): mixed
    {
        if (PHP_SAPI !== 'cli') {
            return $work->run($hear);
        }
        if (self::$running !== null && ! proc_get_status(self::$running->process)['running']) {
            self::stop();
        }
        $process = self::$running ??= self::start();
        try {
            $result = $process->listen($work, $seconds, $hear, $isWanted);
        } catch (\Throwable $error) {
            self::stop();

            throw $error;
        }
        if (++$process->done >= self::MOST) {
            self::stop();
        }

        return $result;
    }

    public static function stop(): void
    {
        $process = self::$running?->process;
        self::$running = null;
        if ($process !== null) {
            proc_terminate($process, SIGKILL);
            proc_close($process);
        }
    }

    private static function start(): self
    {
        $command = [PHP_BINARY, '-d', 'memory_limit='.self::MEMORY, '-d', 'variables_order=EGPCS'];
        foreach (['opcache.enable_cli', 'opcache.jit', 'opcache.jit_buffer_size'] as $setting) {
            $value = ini_get($setting);
            array_push($command, ...($value === false || $value === '' ? [] : ['-d', "$setting=$value"]));
        }
        $process = proc_open(
            [...$command, base_path('artisan'), 'work:apart'],
            [0 => ['pipe', 'r'], 1 => ['file', '/dev/null', 'w'], 2 => STDERR, 3 => ['pipe', 'w']],
            $pipes,
            base_path(),
        );
        if ($process === false) {
            throw new ProcessEnded('It could not be started: the machine has no room for another process.');
        }

        return new self($process, new Messages($pipes[3], $pipes[0]));
    }

    /**
     * @param  \Closure(mixed): void  $hear
     * @param  (\Closure(): bool)|null  $isWanted
     */
    private function listen(Work $work, int $seconds, \Closure $hear, ?\Closure $isWanted): mixed
    {
        $until = microtime(true) + $seconds;
        $this->messages->send(new WorkMessage(WorkMessageKind::Begin, $work, $seconds));
        while (($message = $this->next($until, $isWanted)) instanceof WorkMessage) {
            if ($message->kind === WorkMessageKind::Result) {
                return $message->content;
            }
            if ($message->kind === WorkMessageKind::Error) {
                Log::error('Work in a process of its own failed.', ['error' => $message->content]);

                throw new ProcessEnded('It met an error in the program, which is in the log.');
            }
            $hear($message->content);
        }

        throw new ProcessEnded(microtime(true) < $until
            ? 'It took more memory than it may, or the program crashed.'
            : 'It took more than '.English::count($seconds, 'second').'.');
    }

    /**
     * What comes next.
     *
     * @param  (\Closure(): bool)|null  $isWanted
     * @return mixed null where nothing more comes, or not in time
     *
     * @throws ProcessEnded where nobody waits for it any more
     */
    private function next(float $until, ?\Closure $isWanted): mixed
    {
        $isQuiet = fn (): bool => ! $this->messages->isReady(min($until, microtime(true) + self::LOOK))
            && microtime(true) < $until;
        while ($isWanted !== null && $isQuiet()) {
            if (! $isWanted()) {
                throw new ProcessEnded('Nobody waits for it any more.');
            }
        }

        return $this->messages->receive($until);
    }
}
