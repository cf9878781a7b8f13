<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use OpenApi\Attributes as OA;

/** A kind of requirement, with its fields. */
#[OA\Schema]
final readonly class BriefKindView
{
    /** @param  list<BriefFieldView>  $fields */
    public function __construct(
        #[OA\Property]
        public string $kind,
        #[OA\Property]
        public string $about,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BriefFieldView::class))]
        public array $fields,
    ) {
    }
}
