<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One place where a rule was not kept. */
final readonly class Finding
{
    /**
     * @param  string  $file  path of the file it is about, which may be one that is not there
     * @param  SourceFile|null  $source  null for a file that is not there
     * @param  Span  $span  the smallest run of bytes that shows the matter
     * @param  string  $anchor  what stays the same when lines move: the element's path or other words for the place
     * @param  list<Related>  $related
     * @param  string|null  $requirement  id of the brief's requirement that it counts against
     */
    public function __construct(
        public string $rule,
        public Weight $weight,
        public ProofMark $mark,
        public string $file,
        public ?SourceFile $source,
        public Span $span,
        public string $message,
        public string $remedy,
        public string $anchor,
        public array $related = [],
        public ?string $requirement = null,
    ) {
    }

    /**
     * Names the finding across reruns and attempts: rule, file, anchor and excerpt, without its line.
     *
     * @param  int  $nth  1 for the first of several findings that are alike in all of these
     */
    public function fingerprint(int $nth = 1): string
    {
        $excerpt = $this->source === null ? '' : $this->source->excerpt($this->span);
        $excerpt = mb_substr(preg_replace('/\s+/u', ' ', $excerpt) ?? '', 0, 200);

        return substr(hash('sha256', implode("\0", [$this->rule, $this->file, $this->anchor, $excerpt, (string) $nth])), 0, 20);
    }
}
