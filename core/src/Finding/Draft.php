<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Styles\StyleSource;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/**
 * What is said about a place, step by step, before it is known which rule or requirement says it. Each step gives a new
 * draft: `Draft::at($page, $element)->says(…)->remedy(…)`.
 *
 * @phpstan-type DraftFields array{file: string, source: SourceFile|null, span: Span, anchor: string,
 *     subjects: list<string>, causes: list<string>, variant: string, message: string, remedy: string,
 *     mark: ProofMark|null, weight: Weight|null, related: list<Related>, mend: Mend|null, fold: string, isTyped: bool}
 */
final readonly class Draft
{
    /**
     * @param  string  $file  path of the file it is about, which may be one that does not exist
     * @param  SourceFile|null  $source  null for a file that does not exist
     * @param  Span  $span  the smallest run of bytes that shows the problem
     * @param  string  $anchor  what stays the same when lines move: the element's path, or other words for the place
     * @param  list<string>  $subjects  what it is about, as `Subject` names it
     * @param  list<string>  $causes  subjects that explain it, when a rule that supersedes its own reports them
     * @param  string  $variant  which of the ways to fail this is; '' when there is only one
     * @param  ProofMark|null  $mark  null for the rule's own
     * @param  Weight|null  $weight  null for the rule's own
     * @param  list<Related>  $related
     * @param  Mend|null  $mend  the edit that makes the finding go, where the remedy is exact
     * @param  string  $fold  findings of one rule, variant and file with the same value are one slip; '' for none
     * @param  bool  $isTyped  whether the place is typed as it is read, so that it can be mended
     */
    private function __construct(
        public string $file,
        public ?SourceFile $source,
        public Span $span,
        public string $anchor,
        public array $subjects = [],
        public array $causes = [],
        public string $variant = '',
        public string $message = '',
        public string $remedy = '',
        public ?ProofMark $mark = null,
        public ?Weight $weight = null,
        public array $related = [],
        public ?Mend $mend = null,
        public string $fold = '',
        private bool $isTyped = true,
    ) {
    }

    /** At the start tag of an element. */
    public static function at(Page $page, Element $element): self
    {
        $unclosed = $page->pairs->unclosedAround($element);
        $draft = self::onPage($page, $element->place(), $element->path())
            ->about(Subject::element($page->path(), $element));

        return $unclosed === null ? $draft : $draft->causedBy(Subject::element($page->path(), $unclosed));
    }

    /** Somewhere on a page. */
    public static function onPage(Page $page, Span $span, string $anchor): self
    {
        return self::in($page->path(), $page->file, $span, $anchor);
    }

    public static function atAddress(Reference $reference): self
    {
        return self::in($reference->from->path, $reference->from, $reference->span, $reference->anchor())
            ->about(Subject::place($reference->from->path, $reference->span->start));
    }

    /** About a file as a whole, or one that does not exist. */
    public static function aboutFile(string $path, ?SourceFile $file, string $anchor = ''): self
    {
        return self::in($path, $file, Span::at(0), $anchor)->about(Subject::file($path), Subject::page($path));
    }

    /**
     * In CSS, wherever that is written.
     *
     * @param  Span  $span  in the CSS
     * @param  string  $anchor  besides where the CSS is written
     */
    public static function inCss(StyleSource $source, Span $span, string $anchor): self
    {
        $place = $source->place($span);

        return self::in($source->path(), $source->file, $place, $source->anchor().":$anchor")
            ->about(Subject::inCss($source, $span))
            // What is written in an attribute with character references is not typed as it is read.
            ->with(isTyped: $place == $span);
    }

    public static function in(string $path, ?SourceFile $source, Span $span, string $anchor): self
    {
        return new self($path, $source, $span, $anchor, causes: [Subject::page($path)]);
    }

    public function says(string $message): self
    {
        return $this->with(message: $message);
    }

    public function words(Words $words): self
    {
        return $this->with(message: $words->message, remedy: $words->remedy, variant: $words->variant);
    }

    public function remedy(string $remedy): self
    {
        return $this->with(remedy: $remedy);
    }

    public function variant(string $variant): self
    {
        return $this->with(variant: $variant);
    }

    public function mark(ProofMark $mark): self
    {
        return $this->with(mark: $mark);
    }

    public function weight(Weight $weight): self
    {
        return $this->with(weight: $weight);
    }

    /** At another place than where it began, if there is one. */
    public function span(?Span $span): self
    {
        return $this->with(span: $span ?? $this->span);
    }

    /** Tells findings about one place apart. */
    public function anchored(string $suffix): self
    {
        return $this->with(anchor: $this->anchor.$suffix);
    }

    public function related(Related ...$related): self
    {
        return $this->with(related: [...$this->related, ...array_values($related)]);
    }

    public function mend(?Mend $mend): self
    {
        return $this->with(mend: $this->isTyped ? $mend : null);
    }

    /** @param  string  ...$subjects  as `Subject` names them */
    public function about(string ...$subjects): self
    {
        return $this->with(subjects: [...$this->subjects, ...array_values($subjects)]);
    }

    /** @param  string  ...$subjects  that explain it */
    public function causedBy(string ...$subjects): self
    {
        return $this->with(causes: [...$this->causes, ...array_values($subjects)]);
    }

    /** One slip with all others of its rule, variant and file that have the same name here. */
    public function folded(string $name): self
    {
        return $this->with(fold: $name);
    }

    /** The finding of a rule. */
    public function finding(RuleFacts $rule, ?string $requirement = null): Finding
    {
        return new Finding($rule->id, $this->weight ?? $rule->weight, $this->mark ?? $rule->mark, $this, $requirement);
    }

    private function with(mixed ...$changes): self
    {
        /** @var DraftFields $fields */
        $fields = $changes + get_object_vars($this);

        return new self(...$fields);
    }
}
