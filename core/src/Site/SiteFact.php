<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** Something that is worked out about a site as a whole: once, when it is first asked for, by `ParsedSite::fact`. */
interface SiteFact
{
    public static function of(ParsedSite $site): self;
}
