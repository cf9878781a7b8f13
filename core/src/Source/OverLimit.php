<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/**
 * Something is larger than a check can handle. It is not judged, and the report says so in the message: a sentence
 * about the file.
 */
final class OverLimit extends \RuntimeException
{
}
