<?php

declare(strict_types=1);

namespace App\Checks;

use App\Work\Work;
use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Site\Site;

/** The check of one site, for a process of its own. It tells its `Progress`. */
final readonly class SiteCheck implements Work
{
    /** Seconds between two that are told. */
    private const PAUSE = 0.1;

    public function __construct(
        private Site $site,
        private Brief $brief,
        private Materials $materials,
        private string $runId,
    ) {
    }

    public function run(\Closure $tell): CheckResult
    {
        $told = microtime(true);
        $progress = function (int $done, int $steps) use ($tell, &$told): void {
            if (microtime(true) - $told > self::PAUSE) {
                $told = microtime(true);
                $tell(new Progress($done, $steps));
            }
        };

        return CheckResult::of(Check::run($this->site, $this->brief, $progress, $this->materials), $this->runId);
    }
}
