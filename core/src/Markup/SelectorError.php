<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

/** The text of a selector could not be used; the message says why, for the person who wrote it. */
final class SelectorError extends \DomainException
{
}
