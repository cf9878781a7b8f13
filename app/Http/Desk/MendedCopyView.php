<?php

declare(strict_types=1);

namespace App\Http\Desk;

/** A file as the instructor would have it, beside the untouched original. */
final readonly class MendedCopyView
{
    /** @param  list<MendedStepLine>  $steps */
    public function __construct(
        public string $path,
        /** why there can be none */
        public ?string $refusal,
        public string $original,
        public string $text,
        public bool $inReply,
        /** whether the other pages should follow it */
        public bool $follow,
        public array $steps,
    ) {
    }
}
