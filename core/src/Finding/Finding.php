<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One place where a rule was not kept. */
final readonly class Finding
{
    /** Places that are listed beside a finding; the message says how many more there are. */
    private const MAX_RELATED = 12;

    /** More places than this are not mended at once. */
    private const MAX_MENDED = 500;

    /** which of the rule's ways to fail this is; '' when the rule has only one */
    public string $variant;

    /** path of the file it is about, which may be one that does not exist */
    public string $file;

    /** null for a file that does not exist */
    public ?SourceFile $source;

    public Span $span;

    public string $message;

    public string $remedy;

    public string $anchor;

    /** @var list<Related> */
    public array $related;

    public ?Mend $mend;

    /** @var list<string> */
    public array $subjects;

    /** @var list<string> */
    public array $causes;

    public string $fold;

    /**
     * @param  Draft  $draft  what it says; see there for the properties
     * @param  string|null  $requirement  id of the brief's requirement that it counts against
     */
    public function __construct(
        public string $rule,
        public Weight $weight,
        public ProofMark $mark,
        public Draft $draft,
        public ?string $requirement = null,
    ) {
        $this->variant = $draft->variant;
        $this->file = $draft->file;
        $this->source = $draft->source;
        $this->span = $draft->span;
        $this->message = $draft->message;
        $this->remedy = $draft->remedy;
        $this->anchor = $draft->anchor;
        $this->related = $draft->related;
        $this->mend = $draft->mend;
        $this->subjects = $draft->subjects;
        $this->causes = $draft->causes;
        $this->fold = $draft->fold;
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
        $more = count($others);
        $isComplete = $more < self::MAX_MENDED
            && array_filter([$this, ...$others], fn (self $one) => $one->mend === null) === [];
        $edits = array_merge(...array_map(fn (self $one) => $one->mend->edits ?? [], [$this, ...$others]));
        $subjects = array_merge(...array_map(fn (self $one) => $one->subjects, $others));
        $draft = $this->draft
            ->says($this->message.($more === 1 ? ' There is 1 more' : " There are $more more").' like it on this page.')
            ->related(...$this->placesOf($others))
            ->mend($isComplete ? new Mend($edits) : null)
            ->about(...array_unique(array_diff($subjects, $this->subjects)));

        return new self($this->rule, $this->weight, $this->mark, $draft, $this->requirement);
    }

    /** This finding in other words. */
    public function saying(string $message): self
    {
        return new self($this->rule, $this->weight, $this->mark, $this->draft->says($message), $this->requirement);
    }

    /**
     * As many as there is room for beside those that are named already.
     *
     * @param  list<Finding>  $others
     * @return list<Related>
     */
    private function placesOf(array $others): array
    {
        $places = [];
        foreach ($others as $other) {
            if ($other->source !== null) {
                $places[] = new Related($other->source, $other->span, 'the same here');
            }
        }

        return array_slice($places, 0, max(0, self::MAX_RELATED - count($this->related)));
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
