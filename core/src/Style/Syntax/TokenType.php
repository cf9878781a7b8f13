<?php

declare(strict_types=1);

namespace InkedMargin\Core\Style\Syntax;

/** The tokens of CSS Syntax Level 3, section 4; their values are how they are written or described there. */
enum TokenType: string
{
    case Ident = 'ident';
    case Function = 'function';
    case AtKeyword = 'at-keyword';
    case Hash = 'hash';
    case String = 'string';
    case BadString = 'bad-string';
    case Url = 'url';
    case BadUrl = 'bad-url';
    case Delim = 'delim';
    case Number = 'number';
    case Percentage = 'percentage';
    case Dimension = 'dimension';
    case Whitespace = 'whitespace';
    case Cdo = 'CDO';
    case Cdc = 'CDC';
    case Colon = ':';
    case Semicolon = ';';
    case Comma = ',';
    case OpenSquare = '[';
    case CloseSquare = ']';
    case OpenParen = '(';
    case CloseParen = ')';
    case OpenCurly = '{';
    case CloseCurly = '}';
}
