<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\SourceFile;

/** One stylesheet of a site, with the addresses in it resolved once. */
final readonly class Sheet
{
    /** @param  list<Reference>  $references in order */
    public function __construct(public SourceFile $file, public array $references)
    {
    }
}
