<?php

declare(strict_types=1);

namespace App\Http\Briefs;

/** A kind of requirement, with its fields. */
final readonly class BriefKindView
{
    /** @param  list<BriefFieldView>  $fields */
    public function __construct(
        public string $kind,
        public string $about,
        public array $fields,
    ) {
    }
}
