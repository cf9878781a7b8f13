<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

/** A slip of the hand that makes a parser misread what follows. */
enum SlipKind: string
{
    /** a line such as ```html around the page */
    case CodeFence = 'code-fence';
    /** something typed before the doctype */
    case TextBeforeDoctype = 'before-doctype';
    case Doctype = 'doctype';
    case UnclosedComment = 'unclosed-comment';
    case CommentStart = 'comment-start';
    case CommentEnd = 'comment-end';
    /** a title, style, script or textarea that swallows the rest of the page */
    case UnclosedRawText = 'unclosed-raw-text';
    /** a start tag where the end tag was meant */
    case MissingSlash = 'no-slash';
    /** `<div/>` */
    case SelfClosed = 'self-closed';
    /** a table or a choice that swallows what follows */
    case UnclosedContainer = 'unclosed';
    /** a list or a table that begins without its start tag */
    case MissingStart = 'no-start';
    /** a head that ends with the end tag of something else */
    case OtherEndTag = 'other';
    /** `<a rel="stylesheet">` */
    case SheetByLink = 'sheet';
    case ColonForEquals = 'colon';
    case MissingBracket = 'no-bracket';
    case MissingEquals = 'no-equals';
    case MissingQuote = 'no-quote';
    case SurplusQuote = 'extra-quote';
    case CurlyQuotes = 'curly-quotes';
    case SpaceInTag = 'space-in-tag';
    case Backslash = 'backslash';
    case MisspeltElement = 'misspelt-element';
    case MisspeltEndTag = 'misspelt-end-tag';
    case MisspeltAttribute = 'misspelt-attribute';
    case MisspeltValue = 'misspelt-value';
    case BodyContentInHead = 'in-head';
}
