<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style;

/** An address in CSS: its text with escapes read, the bytes it was written with, and whether an `@import` names it. */
final readonly class SheetAddress
{
    /** @param  int  $start  bytes, as is the end; quotation marks are not among them */
    public function __construct(public string $text, public int $start, public int $end, public bool $isImport)
    {
    }
}
