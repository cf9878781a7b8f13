<?php

declare(strict_types=1);

namespace App\Http\Desk;

use InkedMargin\Core\Source\FileKind;

/** A file of two attempts. */
final readonly class AttemptFile
{
    /** @param  'added'|'taken out'|'changed'|'same'  $change */
    public function __construct(
        public string $path,
        public FileKind $kind,
        public string $change,
    ) {
    }
}
