<?php

declare(strict_types=1);

namespace App\Console;

use App\Checks\CheckHandIn;
use App\Models\HandIn;
use Illuminate\Console\Command;
use InkedMargin\Core\Marking\Check;

/**
 * After an update: has every student's last attempt checked by the rules as they are now. Verdicts, notes and replies
 * stay.
 */
final class CheckAgain extends Command
{
    protected $signature = 'hand-ins:check-again';

    protected $description = 'Check what earlier versions of the rules checked, by those of this version';

    public function handle(): int
    {
        $handIns = HandIn::query()->counting()->with('assignment.brief')
            ->whereDoesntHave('runs', fn ($runs) => $runs->where('engine', Check::ENGINE))->get();
        $count = 0;
        foreach ($handIns as $handIn) {
            $brief = $handIn->assignment->brief;
            if ($brief !== null) {
                CheckHandIn::request($handIn, $brief);
                $count++;
            }
        }
        $this->line("$count to be checked again.");

        return self::SUCCESS;
    }
}
