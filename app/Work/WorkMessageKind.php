<?php

declare(strict_types=1);

namespace App\Work;

enum WorkMessageKind
{
    case Begin;
    case Told;
    case Result;
    case Error;
}
