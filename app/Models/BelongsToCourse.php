<?php

declare(strict_types=1);

namespace App\Models;

/** Something that is reached through one course. */
interface BelongsToCourse
{
    public function courseId(): string;
}
