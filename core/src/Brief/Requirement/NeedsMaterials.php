<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Site\ParsedSite;

/** A requirement that is judged against what the assignment gives besides its brief. */
interface NeedsMaterials
{
    public function assessAgainst(ParsedSite $site, Materials $materials): Assessment;
}
