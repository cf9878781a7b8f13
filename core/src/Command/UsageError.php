<?php

declare(strict_types=1);

namespace InkedMargin\Core\Command;

/** The command line was not understood, or names what cannot be read. */
final class UsageError extends \RuntimeException
{
}
