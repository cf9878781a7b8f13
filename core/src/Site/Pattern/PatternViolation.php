<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Pattern;

use InkedMargin\Core\Site\Map\PageLink;

/** One place where a pattern is broken. */
final readonly class PatternViolation
{
    /**
     * @param  ExpectedLink|null  $expected  null for a surplus link
     * @param  PageLink|null  $link  the link that is there; null for a missing one
     * @param  string|null  $label  the words that the brief gives
     * @param  int  $links  how many of the expected links it stands for
     * @param  list<string>  $more  other pages that the page should link to as well
     */
    public function __construct(
        public ViolationKind $kind,
        public string $from,
        public ?ExpectedLink $expected,
        public ?PageLink $link,
        public ?string $label = null,
        public int $links = 1,
        public array $more = [],
    ) {
    }

    /** Whether it is a link that leads nowhere, which the rules of links report. */
    public function isOfLink(): bool
    {
        return in_array($this->kind, [ViolationKind::Wrong, ViolationKind::Swapped], true)
            && $this->link?->isUnfinished() === true;
    }
}
