<?php

declare(strict_types=1);

namespace App\Intake;

use InkedMargin\Core\Source\Utf8;

/** The name that a file came with. */
final readonly class FileName
{
    /** Without folders, and as long as the database keeps: of a longer one the end, which says what it is. */
    public static function kept(string $name): string
    {
        $bare = basename(str_replace('\\', '/', Utf8::scrub($name)));

        return mb_strlen($bare) <= 255 ? $bare : '…'.mb_substr($bare, -254);
    }
}
