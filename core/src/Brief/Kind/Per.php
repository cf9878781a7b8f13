<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

/** What a count is taken over. */
enum Per: string
{
    case Page = 'page';
    case Site = 'site';
}
