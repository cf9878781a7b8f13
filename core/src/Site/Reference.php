<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One address written in a page or a stylesheet: where it stands, what it says, and where it leads. */
final readonly class Reference
{
    /**
     * @param  SourceFile  $from  the file it stands in
     * @param  string  $basePath  the path it is resolved from: the file's own, or what `base` says
     * @param  Element|null  $element  null in a stylesheet
     * @param  string  $attribute  the attribute it is written in; `url()` or `@import` in CSS
     */
    public function __construct(
        public SourceFile $from,
        public string $basePath,
        public ?Element $element,
        public string $attribute,
        public string $written,
        public Span $span,
        public ReferenceKind $kind,
        public Target $target,
    ) {
    }

    /** The exact text to type here to reach a file of the site; a fragment that was written stays. */
    public function relativeUrlTo(string $path): string
    {
        $relative = RelativePath::between($this->basePath, $path);
        $isFolder = str_ends_with(substr($this->written, 0, strcspn($this->written, '?#')), '/');
        // Who links to a folder goes on to link to a folder.
        $typed = $isFolder && str_ends_with($relative, '/'.Site::HOME)
            ? substr($relative, 0, -strlen(Site::HOME))
            : $relative;

        return $typed
            .($this->target->fragment === null ? '' : '#'.rawurlencode($this->target->fragment));
    }

    /** What stays the same when lines move. */
    public function anchor(): string
    {
        return $this->element === null ? "css:{$this->attribute}" : $this->element->path()."@{$this->attribute}";
    }
}
