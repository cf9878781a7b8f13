<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Site\Sheet;

/** A stylesheet that an `@import` loads, and on what conditions. */
final readonly class ImportedSheet
{
    public function __construct(public Sheet $sheet, public ImportConditions $conditions)
    {
    }
}
