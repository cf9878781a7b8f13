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

    public function title(): string
    {
        return match ($this) {
            self::Starter => 'the starter files',
            self::Model => 'the model answer',
            self::Copy => 'the texts',
            self::Sheets => 'the stylesheets',
        };
    }
}
