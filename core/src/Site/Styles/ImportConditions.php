<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

/** The layer and the media of an `@import` (CSS Cascade 5, section 2). */
final readonly class ImportConditions
{
    public function __construct(public ?string $layer, public string $media)
    {
    }
}
