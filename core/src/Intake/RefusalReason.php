<?php

declare(strict_types=1);

namespace InkedMargin\Core\Intake;

/** Why an archive or folder was not taken in. */
enum RefusalReason: string
{
    case NotAnArchive = 'not-an-archive';
    case Empty = 'empty';
    case EscapingPath = 'escaping-path';
    case AbsolutePath = 'absolute-path';
    case BadName = 'bad-name';
    case Link = 'link';
    case Encrypted = 'encrypted';
    case Twice = 'twice';
    case TooManyFiles = 'too-many-files';
    case TooDeep = 'too-deep';
    case FileTooLarge = 'file-too-large';
    case TotalTooLarge = 'total-too-large';
    case Ratio = 'ratio';
    case NoSpace = 'no-space';
    case Unreadable = 'unreadable';
}
