<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Brief\Shortfall;
use InkedMargin\Core\Example\Example;
use InkedMargin\Core\Example\ExampleReader;
use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One thing that a check looks for: its id, weight, proof mark, words and examples in one place. */
abstract readonly class Rule
{
    /** A file that holds nothing, or no page, is told once, and not by what a page of it would lack. */
    private const FILE_RULES = ['file/empty', 'file/wrong-type', 'file/unreadable'];

    /**
     * @param  string  $summary  one sentence for the catalogue
     * @param  list<string>  $supersededBy ids of rules whose findings explain those of this one, where they share a
     *     subject
     */
    public function __construct(
        public string $id,
        public Weight $weight,
        public ProofMark $mark,
        public string $summary,
        private array $supersededBy = [],
    ) {
    }

    /** @return iterable<Finding> in any order */
    public function check(Examination $exam): iterable
    {
        return [];
    }

    /** @return list<Example> one or more for each variant, from `data/examples` */
    final public function examples(): array
    {
        return ExampleReader::read($this->id);
    }

    /**
     * @return array<class-string<Requirement>, list<string>> the shortfalls that it speaks for: variants, by kind of
     *     requirement
     */
    public function speaksFor(): array
    {
        return [];
    }

    /** @return list<string> the names of its ways to fail; '' where there is only one */
    final public function variants(): array
    {
        return array_values(array_unique(ExampleReader::variants($this->id)));
    }

    final public function group(): string
    {
        return explode('/', $this->id)[0];
    }

    /** @return list<string> ids of rules whose findings explain those of this one */
    final public function supersededBy(): array
    {
        return $this->group() === 'file' ? $this->supersededBy : [...$this->supersededBy, ...self::FILE_RULES];
    }

    /** @return list<Finding> what the requirements of the brief fall short of, as far as this rule speaks for it */
    final public function checkRequirements(Examination $exam): array
    {
        $findings = [];
        foreach ($this->speaksFor() as $kind => $variants) {
            foreach ($exam->brief->ofKind($kind) as $requirement) {
                foreach ($exam->assessment($requirement)->shortfalls as $shortfall) {
                    if ($shortfall->finding === null && in_array($shortfall->variant, $variants, true)) {
                        $findings[] = $finding = $this->shortfallFinding($shortfall, $requirement);
                        $exam->tell($shortfall, $finding);
                    }
                }
            }
        }

        return $findings;
    }

    final protected function shortfallFinding(Shortfall $shortfall, ?Requirement $requirement): Finding
    {
        $ownWords = $requirement?->terms->message;

        return new Finding(
            $this->id,
            count($this->variants()) === 1 ? '' : $shortfall->variant,
            $requirement->terms->weight ?? $this->weight,
            $shortfall->mark,
            $shortfall->file,
            $shortfall->source,
            $shortfall->span,
            $ownWords ?? $shortfall->message,
            $ownWords === null ? $shortfall->remedy : '',
            $shortfall->anchor,
            $shortfall->related,
            $shortfall->mend,
            $shortfall->subjects,
            [...$shortfall->causes, Subject::page($shortfall->file)],
            requirement: $requirement?->terms->id,
        );
    }

    /**
     * At an element, or a part of it.
     *
     * @param  Span|null  $span  null for its start tag
     * @param  list<Related>  $related
     * @param  string  $about  tells findings about one element apart
     * @param  list<string>  $causes
     * @param  list<string>  $subjects  besides the element
     */
    final protected function elementFinding(
        Page $page,
        Element $element,
        string $message,
        string $remedy,
        string $variant = '',
        ?Span $span = null,
        array $related = [],
        ?Mend $mend = null,
        ?ProofMark $mark = null,
        string $about = '',
        array $causes = [],
        array $subjects = [],
        string $fold = '',
        ?Weight $weight = null,
    ): Finding {
        $unclosed = $page->pairs->unclosedAround($element);

        return $this->pageFinding(
            $page,
            $span ?? $element->place(),
            $message,
            $remedy,
            $element->path().$about,
            $variant,
            $related,
            $mend,
            $mark,
            $unclosed === null ? $causes : [...$causes, Subject::element($page->path(), $unclosed)],
            [Subject::element($page->path(), $element), ...$subjects],
            $fold,
            $weight,
        );
    }

    /**
     * Somewhere on a page.
     *
     * @param  string  $anchor  what stays the same when lines move
     * @param  list<Related>  $related
     * @param  list<string>  $causes
     * @param  list<string>  $subjects
     */
    final protected function pageFinding(
        Page $page,
        Span $span,
        string $message,
        string $remedy,
        string $anchor,
        string $variant = '',
        array $related = [],
        ?Mend $mend = null,
        ?ProofMark $mark = null,
        array $causes = [],
        array $subjects = [],
        string $fold = '',
        ?Weight $weight = null,
    ): Finding {
        return $this->finding(
            $page->path(),
            $page->file,
            $span,
            $message,
            $remedy,
            $anchor,
            $variant,
            $related,
            $mend,
            $mark,
            $causes,
            $subjects,
            $fold,
            $weight,
        );
    }

    /**
     * At an address.
     *
     * @param  list<Related>  $related
     * @param  list<string>  $causes
     * @param  list<string>  $subjects
     */
    final protected function referenceFinding(
        Reference $reference,
        string $message,
        string $remedy,
        string $variant = '',
        ?Mend $mend = null,
        array $related = [],
        array $causes = [],
        array $subjects = [],
        string $about = '',
        ?Weight $weight = null,
        string $fold = '',
    ): Finding {
        return $this->finding(
            $reference->from->path,
            $reference->from,
            $reference->span,
            $message,
            $remedy,
            $reference->anchor().$about,
            $variant,
            $related,
            $mend,
            null,
            $causes,
            [Subject::place($reference->from->path, $reference->span->start), ...$subjects],
            $fold,
            $weight,
        );
    }

    /**
     * About a file as a whole, or one that does not exist.
     *
     * @param  list<Related>  $related
     * @param  list<string>  $causes
     * @param  list<string>  $subjects  besides the file
     */
    final protected function fileFinding(
        string $path,
        ?SourceFile $file,
        string $message,
        string $remedy,
        string $variant = '',
        string $anchor = '',
        array $related = [],
        ?ProofMark $mark = null,
        array $causes = [],
        array $subjects = [],
    ): Finding {
        return $this->finding(
            $path,
            $file,
            Span::at(0),
            $message,
            $remedy,
            $anchor,
            $variant,
            $related,
            null,
            $mark,
            $causes,
            [Subject::file($path), Subject::page($path), ...$subjects],
        );
    }

    /**
     * @param  list<Related>  $related
     * @param  list<string>  $causes
     * @param  list<string>  $subjects
     */
    final protected function finding(
        string $path,
        ?SourceFile $source,
        Span $span,
        string $message,
        string $remedy,
        string $anchor,
        string $variant,
        array $related,
        ?Mend $mend,
        ?ProofMark $mark,
        array $causes,
        array $subjects,
        string $fold = '',
        ?Weight $weight = null,
    ): Finding {
        return new Finding(
            $this->id,
            $variant,
            $weight ?? $this->weight,
            $mark ?? $this->mark,
            $path,
            $source,
            $span,
            $message,
            $remedy,
            $anchor,
            $related,
            $mend,
            $subjects,
            [...$causes, Subject::page($path)],
            $fold,
        );
    }
}
