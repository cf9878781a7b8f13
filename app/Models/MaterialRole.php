<?php

declare(strict_types=1);

namespace App\Models;

/** What a file is that an assignment gives. */
enum MaterialRole: string
{
    /** students begin from it */
    case Starter = 'starter';
    /** of the model answer */
    case Model = 'model';
    /** a text that is to stand on pages */
    case Copy = 'copy';
    /** a stylesheet that is to be used as it is */
    case Sheets = 'sheets';
}
