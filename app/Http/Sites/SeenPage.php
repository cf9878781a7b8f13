<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Sites\MaterialStore;
use App\Sites\SeenToken;
use App\Sites\SitePlace;

/** Where a page can be seen, in its own origin, and in which other styles. */
final readonly class SeenPage
{
    /** @param  list<string>  $givenSheets */
    private function __construct(
        public string $url,
        public array $givenSheets,
    ) {
    }

    public static function of(SitePlace $place, SeenRequest $request): self
    {
        $token = SeenToken::issue($place, $request->boolean('scripts'), $request->styles());

        return new self(
            config()->string('margin.seen_url')."/seen/$token/",
            MaterialStore::givenSheets($place->assignmentId),
        );
    }
}
