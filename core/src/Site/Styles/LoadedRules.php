<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Style\Cascade\StyleRule;

/** The rules of one stylesheet or `style` element, as a page loads them. */
final readonly class LoadedRules
{
    /**
     * @param  string  $key  the same wherever the same rules are loaded in the same way
     * @param  list<StyleRule>  $rules
     */
    public function __construct(public string $key, public array $rules)
    {
    }
}
