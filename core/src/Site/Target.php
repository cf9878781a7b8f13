<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Site\Url\UrlProblem;

/** Where a reference leads. */
final readonly class Target
{
    /**
     * @param  string|null  $path  the path inside the site that it names, also when nothing is there; null when it names none
     * @param  string|null  $found  the file that it reaches: for a folder its `index.html`
     * @param  string|null  $fragment  decoded, without the `#`
     * @param  string|null  $address  of another site, as a browser would show it
     * @param  list<string>  $candidates  files of the site that may be meant, the likeliest first
     * @param  UrlProblem|null  $problem  what the URL Standard has against how it is written
     * @param  string|null  $nearestFragment  the place that a fragment may mean which its page does not have
     */
    public function __construct(
        public Verdict $verdict,
        public ?string $path = null,
        public ?string $found = null,
        public ?string $fragment = null,
        public ?string $address = null,
        public array $candidates = [],
        public ?UrlProblem $problem = null,
        public ?string $nearestFragment = null,
    ) {
    }

    /** The file that it reaches, or that it would reach but for letter case or folder; null when nobody can tell. */
    public function meant(): ?string
    {
        return $this->found ?? (in_array($this->verdict, [Verdict::LetterCase, Verdict::WrongFolder, Verdict::OutsideSite, Verdict::LocalPath], true) ? $this->candidates[0] ?? null : null);
    }
}
