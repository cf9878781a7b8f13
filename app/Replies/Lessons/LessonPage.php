<?php

declare(strict_types=1);

namespace App\Replies\Lessons;

use OpenApi\Attributes as OA;

/** One slip: what was written, why it matters, and how it should be. */
#[OA\Schema]
final readonly class LessonPage
{
    /** @param  list<LessonQuote>  $written */
    public function __construct(
        #[OA\Property]
        public string $rule,
        #[OA\Property]
        public string $variant,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'so many hand-ins have it')]
        public int $handIns,
        #[OA\Property(
            description: 'from pages of the class, without names',
            type: 'array',
            items: new OA\Items(ref: LessonQuote::class),
        )]
        public array $written,
        #[OA\Property(description: 'what is wrong there')]
        public string $message,
        #[OA\Property(description: 'what goes wrong if it is left')]
        public string $why,
        #[OA\Property]
        public string $remedy,
        #[OA\Property(description: 'an example of code that is wrong')]
        public string $bad,
        #[OA\Property(description: 'the same as it should be')]
        public string $good,
        #[OA\Property(description: 'standard and section, or common practice')]
        public string $source,
    ) {
    }
}
