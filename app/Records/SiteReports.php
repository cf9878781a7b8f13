<?php

declare(strict_types=1);

namespace App\Records;

use App\Work\Work;
use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Report\JsonReport;
use InkedMargin\Core\Report\SarifReport;
use InkedMargin\Core\Site\Site;

/** The reports on one site, for a process of its own. */
final readonly class SiteReports implements Work
{
    public function __construct(private Site $site, private Brief $brief, private Materials $materials)
    {
    }

    /** @return array<string, string> the text of each by its file's ending */
    public function run(\Closure $tell): array
    {
        $report = Check::run($this->site, $this->brief, materials: $this->materials);

        return ['json' => JsonReport::render($report), 'sarif' => SarifReport::render($report)];
    }
}
