<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

/**
 * A rule that begins with something else than an at-keyword: a style rule with its selector, or a step of keyframes.
 */
final readonly class QualifiedRule extends SyntaxRule
{
}
