<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Site\ParsedSite;

/** A requirement that asks for rules to find nothing. */
interface AssessedByFindings
{
    public function claims(Finding $finding): bool;

    /** @param  list<Finding>  $findings  those that it claims */
    public function assessFindings(ParsedSite $site, array $findings): Assessment;
}
