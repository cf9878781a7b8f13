<?php

declare(strict_types=1);

namespace App\Records;

use RuntimeException;

/** Why records cannot be read in: a sentence that says what was wrong and what was kept. */
final class RecordsError extends RuntimeException
{
}
