<?php

declare(strict_types=1);

namespace Tests;

use App\Work\Work;

/** Work for a process of its own that goes well, or ends in one of the ways that work can. */
enum TrialWork implements Work
{
    case Large;
    case Telling;
    case Process;
    case Crash;
    case Memory;
    case End;
    case Endless;
    case Error;

    public function run(\Closure $tell): mixed
    {
        return match ($this) {
            self::Large => str_repeat('x', 5_000_000),
            self::Telling => [$tell('one'), $tell('two')],
            self::Process => getmypid(),
            self::Crash => posix_kill(posix_getpid(), SIGSEGV),
            self::Memory => strlen(str_repeat('x', 4_000_000_000)),
            self::End => exit(0),
            self::Endless => $this->waitForever(),
            self::Error => throw new \RuntimeException('Broken.'),
        };
    }

    private function waitForever(): never
    {
        while (true) {
            usleep(1_000);
        }
    }
}
