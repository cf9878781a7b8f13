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
        $first = $this->original->target->found ?? $this->picture;

        return $first === $this->picture
            ? self::sentence($this->picture, $this->owner->path())
            : "`{$this->picture}` is the same picture as `$first`, which `{$this->owner->path()}` shows.";
    }

    /**
     * @param  string  $picture  its path
     * @param  string  $owner  the path of the page that it belongs to
     */
    public static function sentence(string $picture, string $owner): string
    {
        return "This page shows `$picture`, which `$owner` shows too.";
    }
}
