<?php

declare(strict_types=1);

namespace App\Http\Students;

use App\Checks\MyCheck;
use App\Description\Stored;
use App\Models\SiteTry;
use App\Models\TryState;

/** How far a site is that a student tries, and in the end what the check says. */
final readonly class MyTry
{
    private function __construct(
        public TryState $state,
        /** tries of others that come first, while it waits */
        public int $ahead,
        /** why there is no result, where it failed */
        public ?string $trouble,
        #[Stored(MyCheck::class)]
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
