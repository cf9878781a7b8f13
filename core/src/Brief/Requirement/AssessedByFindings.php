<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Site\ParsedSite;

/** A requirement that asks for rules to find nothing. */
interface AssessedByFindings
{
    public function claims(Finding $finding, ParsedSite $site): bool;

    /**
     * @param  list<Finding>  $findings  those that it claims
     * @param  list<Shortfall>  $own  what it is short of without them
     */
    public function assessFindings(ParsedSite $site, array $findings, array $own): Assessment;
}
