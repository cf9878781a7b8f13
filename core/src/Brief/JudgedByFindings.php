<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Site\SiteReading;

/** A requirement that is judged by what the rules found, and not by the site itself. */
interface JudgedByFindings
{
    /** Whether a finding of this rule and weight (`fault`, `departure`, `tidy`), in this file, counts against it. */
    public function claims(string $rule, string $weight, string $file): bool;

    /** @param  array<string, int>  $found  how many findings it claims, by file */
    public function judgeBy(array $found, SiteReading $reading): Judgement;
}
