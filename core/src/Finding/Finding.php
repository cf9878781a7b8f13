<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One place where a rule was not kept. */
final readonly class Finding
{
    /** Places that are listed beside a finding; the message says how many more there are. */
    private const MOST_RELATED = 12;

    /**
     * @param  string  $variant  which of the rule's ways to fail this is; '' when the rule has only one
     * @param  string  $file  path of the file it is about, which may be one that does not exist
     * @param  SourceFile|null  $source  null for a file that does not exist
     * @param  Span  $span  the smallest run of bytes that shows the problem
     * @param  string  $anchor  what stays the same when lines move: the element's path, or other words for the place
     * @param  list<Related>  $related
     * @param  Mend|null  $mend  the edit that makes the finding go, where the remedy is exact
     * @param  list<string>  $subjects  what it is about, as `Subject` names it
     * @param  list<string>  $causes  subjects that explain it, when a rule that supersedes this one reports them
     * @param  string  $fold  findings of one rule, variant and file with the same value are one slip; '' for none
     * @param  string|null  $requirement  id of the brief's requirement that it counts against
     */
    public function __construct(
        public string $rule,
        public string $variant,
        public Weight $weight,
        public ProofMark $mark,
        public string $file,
        public ?SourceFile $source,
        public Span $span,
        public string $message,
        public string $remedy,
        public string $anchor,
        public array $related = [],
        public ?Mend $mend = null,
        public array $subjects = [],
        public array $causes = [],
        public string $fold = '',
        public ?string $requirement = null,
    ) {
    }

    /** Rule and variant in one, such as `link/bad-address:space`. */
    public function kind(): string
    {
        return $this->variant === '' ? $this->rule : "{$this->rule}:{$this->variant}";
    }

    /**
     * This finding with others that repeat the same slip in the same file.
     *
     * @param  list<Finding>  $others
     */
    public function withRepeats(array $others): self
    {
        if ($others === []) {
            return $this;
        }
        $related = $this->related;
        foreach ($others as $other) {
            if ($other->source !== null && count($related) < self::MOST_RELATED) {
                $related[] = new Related($other->source, $other->span, 'the same here');
            }
        }
        $edits = array_merge(
            $this->mend->edits ?? [],
            ...array_map(fn (self $one) => $one->mend->edits ?? [], $others),
        );
        $isComplete = $this->mend !== null && array_filter($others, fn (self $one) => $one->mend === null) === [];
        $more = count($others);

        return $this->with(
            message: "{$this->message} ".($more === 1 ? 'There is 1 more' : "There are $more more")
                .' like it on this page.',
            related: $related,
            mend: $isComplete ? new Mend($edits) : null,
            subjects: array_values(
                array_unique(array_merge($this->subjects, ...array_map(fn (self $one) => $one->subjects, $others))),
            ),
        );
    }

    /**
     * @param  list<Related>|null  $related
     * @param  list<string>|null  $subjects
     */
    public function with(
        ?string $message = null,
        ?array $related = null,
        ?Mend $mend = null,
        ?array $subjects = null,
    ): self {
        return new self(
            $this->rule,
            $this->variant,
            $this->weight,
            $this->mark,
            $this->file,
            $this->source,
            $this->span,
            $message ?? $this->message,
            $this->remedy,
            $this->anchor,
            $related ?? $this->related,
            $mend,
            $subjects ?? $this->subjects,
            $this->causes,
            $this->fold,
            $this->requirement,
        );
    }

    /**
     * Names the finding across reruns and attempts: rule, variant, file, anchor and excerpt, without its line.
     *
     * @param  int  $nth  1 for the first of several findings that are alike in all of these
     */
    public function fingerprint(int $nth = 1): string
    {
        $excerpt = $this->source === null ? '' : $this->source->excerpt($this->span);
        $excerpt = mb_substr(preg_replace('/\s+/u', ' ', $excerpt) ?? '', 0, 200);
        $parts = [$this->rule, $this->variant, $this->file, $this->anchor, $excerpt, (string) $nth];

        return substr(hash('sha256', implode("\0", $parts)), 0, 20);
    }
}
