<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Site\Url\UrlProblem;

/** Where a reference leads. */
final readonly class Target
{
    /**
     * @param  string|null  $path the path inside the site that it names, also when nothing is there; null when it names
     *     none
     * @param  string|null  $found  the file that it reaches: for a folder its `index.html`
     * @param  string|null  $fragment  decoded, without the `#`
     * @param  string|null  $address  of another site, as a browser would show it
     * @param  list<string>  $candidates  files of the site that may be meant, the likeliest first
     * @param  UrlProblem|null  $problem  what the URL Standard has against how it is written
     * @param  AddressSlip|null  $slip  a slip of the hand in how it is written, where there is one
     * @param  SchemeFault|null  $scheme  what is wrong with its scheme or with what belongs behind it
     * @param  string|null  $nearestFragment  the place that a fragment may mean which its page does not have
     */
    public function __construct(
        public Resolution $resolution,
        public ?string $path = null,
        public ?string $found = null,
        public ?string $fragment = null,
        public ?string $address = null,
        public array $candidates = [],
        public ?UrlProblem $problem = null,
        public ?string $nearestFragment = null,
        public ?AddressSlip $slip = null,
        public ?SchemeFault $scheme = null,
    ) {
    }

    /** The file that it reaches, or that it would reach but for letter case or folder; null when nobody can tell. */
    public function meant(): ?string
    {
        $isNear = in_array(
            $this->resolution,
            [Resolution::LetterCase, Resolution::WrongFolder, Resolution::OutsideSite, Resolution::LocalPath],
            true,
        );

        return $this->found ?? ($isNear ? $this->candidates[0] ?? null : null);
    }
}
