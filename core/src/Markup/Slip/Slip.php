<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One slip of the hand: where it is, and the change that mends it. */
final readonly class Slip
{
    /**
     * @param  Span  $span  in bytes of `$source`
     * @param  non-empty-list<Change>  $changes  in bytes of `$source`
     * @param  string  $written  the name or text that was written
     * @param  string  $meant  what was meant
     * @param  string  $inside  the name of the element that it is in or on
     */
    public function __construct(
        public SlipKind $kind,
        public SourceFile $source,
        public Span $span,
        public array $changes,
        public string $written = '',
        public string $meant = '',
        public string $inside = '',
    ) {
    }
}
