<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Finding\RuleFacts;

/**
 * A kind of requirement that has a rule of its own, with an id such as `brief/count`. That rule reports what is missing
 * or wrong.
 */
interface SpeaksForItself
{
    public static function facts(): RuleFacts;
}
