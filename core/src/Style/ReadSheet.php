<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Style\Syntax\StyleSheet;

/** A stylesheet, and the text that all its places count in. */
final readonly class ReadSheet
{
    public function __construct(public SourceFile $source, public StyleSheet $css)
    {
    }
}
