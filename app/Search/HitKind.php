<?php

declare(strict_types=1);

namespace App\Search;

/** What can be found. */
enum HitKind: string
{
    case Student = 'student';
    case Assignment = 'assignment';
    case HandIn = 'hand-in';
    case Note = 'note';
    case StockRemark = 'stock-remark';
    case Rule = 'rule';
}
