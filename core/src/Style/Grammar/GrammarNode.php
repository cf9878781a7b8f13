<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Grammar;

/** A part of a value definition (CSS Values and Units Level 4, section 2). */
interface GrammarNode
{
}
