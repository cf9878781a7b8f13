<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One thing that a check looks for. Each rule keeps its id, weight, proof mark and wording in one place. */
abstract readonly class Rule
{
    /** @param  string  $about one sentence for the rule catalogue */
    public function __construct(
        public string $id,
        public Weight $weight,
        public ProofMark $mark,
        public string $about,
    ) {
    }

    /** @return iterable<Finding> in any order */
    abstract public function look(SiteReading $reading, Brief $brief): iterable;

    /** @param  list<Related>  $related */
    final protected function on(
        Element $element,
        SourceFile $source,
        Span $span,
        string $message,
        string $remedy,
        array $related = [],
        ?Requirement $for = null,
        ?ProofMark $mark = null,
        string $about = '',
    ): Finding {
        return $this->finding($source->path, $source, $span, $message, $remedy, $element->path().$about, $related, $for, $mark);
    }

    /** About a file as a whole, or one that is not there. */
    final protected function about(string $file, ?SourceFile $source, string $message, string $remedy, string $anchor = '', ?Requirement $for = null, ?ProofMark $mark = null): Finding
    {
        return $this->finding($file, $source, Span::at(0), $message, $remedy, $anchor, [], $for, $mark);
    }

    /** @param  list<Related>  $related */
    final protected function finding(
        string $file,
        ?SourceFile $source,
        Span $span,
        string $message,
        string $remedy,
        string $anchor,
        array $related = [],
        ?Requirement $for = null,
        ?ProofMark $mark = null,
    ): Finding {
        $weight = $for?->terms->weight;

        return new Finding(
            $this->id,
            $weight === null ? $this->weight : Weight::from($weight),
            $mark ?? $this->mark,
            $file,
            $source,
            $span,
            $for->terms->message ?? $message,
            $remedy,
            $anchor,
            $related,
            $for?->terms->id,
        );
    }
}
