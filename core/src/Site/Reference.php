<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One address written in a file: where it stands, what it says, and where it leads. */
final readonly class Reference
{
    public function __construct(
        public SourceFile $from,
        public Element $element,
        public string $written,
        public Span $span,
        public ReferenceKind $kind,
        public Target $target,
    ) {
    }
}
