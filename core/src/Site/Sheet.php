<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Style\Syntax\StyleSheet;

/** One stylesheet of a site, read once, with the addresses in it resolved once. */
final readonly class Sheet
{
    /**
     * @param  SourceFile  $file  as UTF-8: what all spans of the sheet count in
     * @param  list<Reference>  $references  in order
     */
    public function __construct(public SourceFile $file, public StyleSheet $css, public array $references)
    {
    }

    public function path(): string
    {
        return $this->file->path;
    }
}
