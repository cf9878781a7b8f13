<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

/** The ways in which CSS goes against its syntax. */
enum SyntaxErrorKind: string
{
    /** `/*` that nothing ends (CSS Syntax 3, 4.3.2) */
    case UnclosedComment = 'unclosed-comment';
    /** a string that its line or the file ends (4.3.5) */
    case UnclosedString = 'unclosed-string';
    /** an address in `url()` with a character that needs quotes, or that nothing ends (4.3.6) */
    case BadUrl = 'bad-url';
    /** `{`, `(` or `[` that nothing ends (5.4.8) */
    case UnclosedBlock = 'unclosed-block';
    /** `}`, `)` or `]` that ends nothing */
    case StrayClose = 'stray-close';
    /** a selector with no block behind it (5.4.3) */
    case RuleWithoutBlock = 'rule-without-block';
    /** something in a block that is neither a declaration nor a rule (5.4.4) */
    case NotADeclaration = 'not-a-declaration';
    /** a property name without the colon behind it (5.4.6) */
    case MissingColon = 'missing-colon';
    /** blocks in blocks in blocks, further than they are read */
    case TooDeep = 'too-deep';
}
