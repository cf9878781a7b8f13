<?php

declare(strict_types=1);

namespace App\Printing;

use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Prints a page to PDF. Run twice, it prints once. */
final class PrintPage implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $timeout = 90;

    /** Seconds after which another may be asked for, where a worker died. */
    public int $uniqueFor = 120;

    public int $tries = 2;

    public function __construct(private readonly string $key)
    {
    }

    public function uniqueId(): string
    {
        return $this->key;
    }

    public function handle(): void
    {
        $page = PrintedPage::of($this->key);
        $html = $page->html();
        if ($html !== null && $page->state() !== PrintState::Ready) {
            $page->keep(Chromium::print($html));
        }
    }

    public function failed(): void
    {
        PrintedPage::of($this->key)->fail();
    }
}
