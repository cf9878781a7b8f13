<?php

declare(strict_types=1);

namespace App\Intake\Published;

/** What a server said when a file of a published site was asked for. */
final readonly class Served
{
    /**
     * @param  int  $status  of HTTP; 0 where no answer came
     * @param  string  $type  the content type
     * @param  string|null  $to  where it was redirected to
     * @param  string|null  $why  it was passed over; null where there was an answer
     */
    public function __construct(
        public string $path,
        public int $status,
        public string $type,
        public ?string $to = null,
        public ?string $why = null,
    ) {
    }
}
