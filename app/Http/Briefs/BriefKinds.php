<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use OpenApi\Attributes as OA;

/** All that a brief can ask for, from the core's own declarations. */
#[OA\Schema]
final readonly class BriefKinds
{
    /**
     * @param  list<BriefFieldView>  $own
     * @param  list<BriefFieldView>  $ignored
     * @param  list<BriefFieldView>  $terms
     * @param  list<BriefFieldView>  $marking
     * @param  list<BriefKindView>  $kinds
     * @param  list<ReadyMadeView>  $readyMade
     */
    public function __construct(
        #[OA\Property(
            description: 'the fields of the brief itself',
            type: 'array',
            items: new OA\Items(ref: BriefFieldView::class),
        )]
        public array $own,
        #[OA\Property(
            description: 'the fields of each entry of `ignore`',
            type: 'array',
            items: new OA\Items(ref: BriefFieldView::class),
        )]
        public array $ignored,
        #[OA\Property(
            description: 'the fields of every requirement',
            type: 'array',
            items: new OA\Items(ref: BriefFieldView::class),
        )]
        public array $terms,
        #[OA\Property(
            description: 'the fields of `marking`',
            type: 'array',
            items: new OA\Items(ref: BriefFieldView::class),
        )]
        public array $marking,
        #[OA\Property(type: 'array', items: new OA\Items(ref: BriefKindView::class))]
        public array $kinds,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReadyMadeView::class))]
        public array $readyMade,
    ) {
    }
}
