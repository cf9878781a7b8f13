<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Kind;

/** What is the matter with a part of a skeleton. */
enum GapKind
{
    case Missing;
    case OutOfOrder;
    case Inside;
}
