<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use OpenApi\Attributes as OA;

#[OA\Info(version: '1', title: 'Inked Margin')]
abstract class Controller
{
}
