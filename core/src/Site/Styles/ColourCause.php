<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Style\Syntax\Declaration;

/** The declaration that makes a pair of colours, and whether it is the one of the text. */
final readonly class ColourCause
{
    public function __construct(public Declaration $declaration, public bool $isOfText)
    {
    }
}
