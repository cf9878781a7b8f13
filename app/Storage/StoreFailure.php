<?php

declare(strict_types=1);

namespace App\Storage;

use Illuminate\Http\JsonResponse;

/** Bytes could not be kept, or are not what they were: nothing half-written is ever trusted. */
final class StoreFailure extends \RuntimeException
{
    public function render(): JsonResponse
    {
        return new JsonResponse(['message' => $this->getMessage()], 507);
    }
}
