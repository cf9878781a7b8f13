<?php

declare(strict_types=1);

namespace App\Work;

/** Some work ended its process before it was done. The message is a sentence for people. */
final class ProcessEnded extends \RuntimeException
{
}
