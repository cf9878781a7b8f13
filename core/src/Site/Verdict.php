<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** What became of a reference when it was resolved. */
enum Verdict: string
{
    case Found = 'found';
    case LetterCase = 'letter-case';
    case MissingFile = 'missing-file';
    case Elsewhere = 'elsewhere';
    case Placeholder = 'placeholder';
}
