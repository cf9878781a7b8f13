<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Source\SourceFile;

/** A page or stylesheet that is too large for a check, and was not read. */
final readonly class Unread
{
    /**
     * @param  string  $why  a sentence
     * @param  bool  $isUsed  false for a stylesheet that no page loads: all else can be judged without it
     */
    public function __construct(public SourceFile $file, public string $why, public bool $isUsed)
    {
    }

    public function path(): string
    {
        return $this->file->path;
    }
}
