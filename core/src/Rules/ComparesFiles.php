<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

/**
 * A rule that holds several files against each other: where one of them was too large to be read, what it would say of
 * the others could be false, and it says nothing.
 */
interface ComparesFiles
{
}
