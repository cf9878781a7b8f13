<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Models\StockRemark;
use OpenApi\Attributes as OA;

/** A note kept for use again. */
#[OA\Schema]
final readonly class StockRemarkView
{
    /** @param  list<string>  $rules */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(description: 'with blanks such as {element}')]
        public string $body,
        #[OA\Property]
        public bool $merit,
        #[OA\Property(description: 'whether all who mark the course have it')]
        public bool $shared,
        #[OA\Property]
        public int $uses,
        #[OA\Property(
            description: 'kinds of findings that it was used for, the commonest first',
            type: 'array',
            items: new OA\Items(type: 'string'),
        )]
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
