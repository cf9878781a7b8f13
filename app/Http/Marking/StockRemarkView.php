<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Models\StockRemark;

/** A note kept for use again. */
final readonly class StockRemarkView
{
    /** @param  list<string>  $rules */
    public function __construct(
        public string $id,
        /** with blanks such as {element} */
        public string $body,
        public bool $merit,
        /** whether all who mark the course have it */
        public bool $shared,
        public int $uses,
        public array $rules,
    ) {
    }

    /** @param  array<string, int>  $uses  by rule, '' for none */
    public static function of(StockRemark $remark, array $uses = []): self
    {
        arsort($uses);

        return new self(
            $remark->id,
            $remark->body,
            $remark->merit,
            $remark->course_id !== null,
            array_sum($uses),
            array_values(array_filter(array_map(strval(...), array_keys($uses)))),
        );
    }
}
