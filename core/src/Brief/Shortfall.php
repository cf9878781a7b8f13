<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Finding\Finding;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/** One place that shows why a requirement is not met in full. Findings are made from it. */
final readonly class Shortfall
{
    /**
     * @param  string  $variant  which of its kind's ways to fail this is
     * @param  string  $item  which of the things that the requirement counts it costs, such as the path of a page
     * @param  float  $cost  how much of that item is lost, above 0 and at most 1
     * @param  list<Related>  $related
     * @param  list<string>  $subjects  as `Subject` names them
     * @param  list<string>  $causes
     * @param  Finding|null  $finding  the finding that it is, where a rule made it already
     * @param  list<string>  $slips  what is wrong, as `SlipName` says it: where another requirement is short of all of
     *     these too, it is one slip
     * @param  list<string>  $follows  slips of another requirement that explain this one whole
     * @param  int  $followsMany  how many of these slips it takes
     * @param  bool  $isMissingPage  whether it is a page that is missing, which costs in each requirement about it
     */
    public function __construct(
        public string $variant,
        public ProofMark $mark,
        public string $item,
        public string $file,
        public ?SourceFile $source,
        public Span $span,
        public string $message,
        public string $remedy,
        public string $anchor = '',
        public float $cost = 1.0,
        public array $related = [],
        public ?Mend $mend = null,
        public array $subjects = [],
        public array $causes = [],
        public ?Finding $finding = null,
        public array $slips = [],
        public array $follows = [],
        public bool $isMissingPage = false,
        public int $followsMany = 1,
    ) {
        if ($cost <= 0.0 || $cost > 1.0 || $message === '') {
            throw new \LogicException("The shortfall \"$variant\" costs $cost and says \"$message\".");
        }
    }

    /**
     * Somewhere on a page.
     *
     * @param  string|null  $item  null when it is the page that is counted
     * @param  list<Related>  $related
     * @param  list<string>  $subjects
     * @param  list<string>  $causes
     * @param  list<string>  $slips
     * @param  list<string>  $follows
     */
    public static function onPage(
        Page $page,
        string $variant,
        ProofMark $mark,
        Span $span,
        string $message,
        string $remedy,
        string $anchor,
        ?string $item = null,
        array $related = [],
        ?Mend $mend = null,
        array $subjects = [],
        array $causes = [],
        float $cost = 1.0,
        array $slips = [],
        array $follows = [],
        int $followsMany = 1,
    ): self {
        return new self(
            $variant,
            $mark,
            $item ?? $page->path(),
            $page->path(),
            $page->file,
            $span,
            $message,
            $remedy,
            $anchor,
            cost: $cost,
            related: $related,
            mend: $mend,
            subjects: $subjects,
            causes: $causes,
            slips: $slips,
            follows: $follows,
            followsMany: $followsMany,
        );
    }

    /** @param  bool  $counts  whether it costs points in its requirement */
    public function loss(bool $counts = true): Loss
    {
        return new Loss($this->item, $this->cost, $counts);
    }

    /** What a rule found, as a shortfall of a requirement that asks for it to find nothing. */
    public static function of(Finding $finding, string $item): self
    {
        return new self(
            $finding->variant,
            $finding->mark,
            $item,
            $finding->file,
            $finding->source,
            $finding->span,
            $finding->message,
            $finding->remedy,
            $finding->anchor,
            finding: $finding,
        );
    }
}
