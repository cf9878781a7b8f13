<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Consistency;

use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;

/** A page that shows the picture of another page. */
final readonly class PictureCopy
{
    public const REMEDY = 'Use a picture that belongs to this page.';

    /**
     * @param  string  $picture  its path
     * @param  Page  $owner  the page that it belongs to
     * @param  Reference  $original  where that page shows it
     */
    public function __construct(
        public string $picture,
        public Page $page,
        public Reference $reference,
        public Page $owner,
        public Reference $original,
    ) {
    }

    public function message(): string
    {
        return "This page shows `{$this->picture}`, which `{$this->owner->path()}` shows too.";
    }
}
