<?php

declare(strict_types=1);

namespace App\Http\Briefs;

/** All that a brief can ask for, from the core's own declarations. */
final readonly class BriefKinds
{
    /**
     * @param  list<BriefFieldView>  $own  the fields of the brief itself
     * @param  list<BriefFieldView>  $ignored  the fields of each entry of `ignore`
     * @param  list<BriefFieldView>  $terms  the fields of every requirement
     * @param  list<BriefFieldView>  $marking  the fields of `marking`
     * @param  list<BriefKindView>  $kinds
     * @param  list<ReadyMadeView>  $readyMade
     */
    public function __construct(
        public array $own,
        public array $ignored,
        public array $terms,
        public array $marking,
        public array $kinds,
        public array $readyMade,
    ) {
    }
}
