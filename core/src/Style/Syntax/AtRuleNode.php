<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

/** A rule such as `@media`, with its name or with one that nobody knows. */
final readonly class AtRuleNode extends SyntaxRule
{
    /** Lower-cased, without `@`. */
    public function name(): string
    {
        return strtolower($this->tokens->text($this->first));
    }
}
