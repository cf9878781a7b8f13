<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Finding\RuleFacts;

/** A kind of requirement with a rule of its own, whose id is `brief/…`: what it falls short of is told under that. */
interface SpeaksForItself
{
    public static function facts(): RuleFacts;
}
