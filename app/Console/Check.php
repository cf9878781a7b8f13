<?php

declare(strict_types=1);

namespace App\Console;

use App\Operations\HealthCheck;
use App\Operations\HealthChecks;
use Illuminate\Console\Command;

/** Names what an installation is missing. */
final class Check extends Command
{
    protected $signature = 'margin:check';

    protected $description = 'Say what this installation has, what it is missing, and what to do about it';

    public function handle(): int
    {
        $conditions = HealthChecks::all();
        foreach ($conditions as $one) {
            $word = $one->isMet
                ? '<info>is there</info>'
                : ($one->isVital ? '<error>is missing</error>' : '<comment>is missing</comment>');
            $this->line(sprintf('%s %s%s', $word, $one->what, $one->isMet ? '' : ": $one->remedy"));
        }
        $missing = array_filter($conditions, fn (HealthCheck $one) => ! $one->isMet && $one->isVital);

        return $missing === [] ? self::SUCCESS : self::FAILURE;
    }
}
