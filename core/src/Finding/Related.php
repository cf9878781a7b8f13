<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** Another place that explains a finding. */
final readonly class Related
{
    public function __construct(public SourceFile $source, public Span $span, public string $message)
    {
    }
}
