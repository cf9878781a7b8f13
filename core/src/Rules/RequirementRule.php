<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

/** The rule that speaks for one kind of requirement. All that it says is in the kind itself. */
final readonly class RequirementRule extends Rule
{
}
