<?php

declare(strict_types=1);

namespace App\Printing;

use App\Storage\SharedDisk;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\Process\ExecutableFinder;

/** Pages as PDF: printed by Chromium in the queue, and kept for a day under the hash of what is printed. */
final readonly class PrintedPage
{
    private const FOLDER = 'printed';

    /** Seconds for which a page that could not be printed is not tried again. */
    private const FAILED_FOR = 30;

    private const HOURS = 24;

    private function __construct(public string $key)
    {
    }

    public static function of(string $key): self
    {
        return new self($key);
    }

    /** Has a page printed, where that has not been done. */
    public static function ask(string $html): self
    {
        $printed = new self(hash('sha256', $html));
        if ($printed->state() === PrintState::Waiting) {
            SharedDisk::get()->put($printed->path('html'), $html);
            PrintPage::dispatch($printed->key);
        }

        return $printed;
    }

    public function state(): PrintState
    {
        return match (true) {
            SharedDisk::get()->exists($this->path('pdf')) => PrintState::Ready,
            self::chromium() === null => PrintState::NoPrinter,
            Cache::has($this->failure()) => PrintState::Failed,
            default => PrintState::Waiting,
        };
    }

    public function html(): ?string
    {
        return SharedDisk::get()->get($this->path('html'));
    }

    public function pdf(): string
    {
        return SharedDisk::get()->get($this->path('pdf')) ?? '';
    }

    public function keep(string $pdf): void
    {
        SharedDisk::get()->put($this->path('pdf'), $pdf);
    }

    public function fail(): void
    {
        Cache::put($this->failure(), true, self::FAILED_FOR);
    }

    /** Has those printed that have waited for so many minutes. One that is being printed is not asked for twice. */
    public static function askAgain(int $minutes): void
    {
        $before = now()->subMinutes($minutes)->getTimestamp();
        foreach (SharedDisk::get()->files(self::FOLDER) as $path) {
            $page = new self(pathinfo($path, PATHINFO_FILENAME));
            if (str_ends_with($path, '.html') && SharedDisk::get()->lastModified($path) < $before
                && $page->state() === PrintState::Waiting) {
                PrintPage::dispatch($page->key);
            }
        }
    }

    /** Deletes what was printed long ago: it is printed again when somebody asks. */
    public static function prune(): void
    {
        SharedDisk::prune(self::FOLDER, self::HOURS);
    }

    /** Deletes all of it. */
    public static function forget(): void
    {
        SharedDisk::get()->deleteDirectory(self::FOLDER);
    }

    /** The program that prints; null where there is none. */
    public static function chromium(): ?string
    {
        return (new ExecutableFinder)->find(config()->string('margin.chromium'));
    }

    private function failure(): string
    {
        return "not printed $this->key";
    }

    private function path(string $ending): string
    {
        return self::FOLDER."/$this->key.$ending";
    }
}
