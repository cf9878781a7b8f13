<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Checks\MyCheck;
use App\Models\SiteTry;
use App\Models\TryState;
use OpenApi\Attributes as OA;

/** How far a site is that a student tries, and in the end what the check says. */
#[OA\Schema]
final readonly class MyTry
{
    private function __construct(
        #[OA\Property(enum: TryState::class)]
        public TryState $state,
        #[OA\Property(description: 'tries of others that come first, while it waits')]
        public int $ahead,
        #[OA\Property(description: 'why there is no result, where it failed')]
        public ?string $trouble,
        #[OA\Property(nullable: true, oneOf: [new OA\Schema(ref: MyCheck::class)])]
        public ?\stdClass $check,
    ) {
    }

    public static function of(SiteTry $try): self
    {
        $ahead = $try->state === TryState::Waiting
            ? SiteTry::query()->where('state', TryState::Waiting)->where('created_at', '<', $try->created_at)->count()
            : 0;

        return new self($try->state, $ahead, $try->trouble, $try->result);
    }
}
