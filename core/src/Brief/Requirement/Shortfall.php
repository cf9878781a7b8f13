<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Finding;

/**
 * One place that shows why a requirement is not met in full. Findings are made from it.
 *
 * @phpstan-type ShortfallFields array{draft: Draft, item: string, cost: float, finding: Finding|null,
 *     slips: list<string>, follows: list<string>, followsMany: int, isMissingPage: bool}
 */
final readonly class Shortfall
{
    /**
     * @param  Draft  $draft  what it says, and where
     * @param  string  $item  which of the things that the requirement counts it costs, such as the path of a page
     * @param  float  $cost  how much of that item is lost, above 0 and at most 1
     * @param  Finding|null  $finding  the finding that it is, where a rule made it already
     * @param  list<string>  $slips  what is wrong, as `SlipName` says it: where another requirement is short of all of
     *     these too, it is one slip
     * @param  list<string>  $follows  slips of another requirement that explain this one whole
     * @param  int  $followsMany  how many of these slips it takes
     * @param  bool  $isMissingPage  whether it is a page that is missing, which costs in each requirement about it
     */
    private function __construct(
        public Draft $draft,
        public string $item,
        public float $cost = 1.0,
        public ?Finding $finding = null,
        public array $slips = [],
        public array $follows = [],
        public int $followsMany = 1,
        public bool $isMissingPage = false,
    ) {
        if ($cost <= 0.0 || $cost > 1.0 || $draft->message === '') {
            throw new \LogicException("The shortfall \"$draft->variant\" costs $cost and says \"$draft->message\".");
        }
    }

    /** It costs the whole of its file, until `item` and `costing` say otherwise. */
    public static function of(Draft $draft): self
    {
        return new self($draft, $draft->file);
    }

    /** What a rule found, as a shortfall of a requirement that asks for it to find nothing. */
    public static function found(Finding $finding, string $item): self
    {
        return new self($finding->draft, $item, finding: $finding);
    }

    /** @param  string  $item  which of the things that the requirement counts */
    public function item(string $item): self
    {
        return $this->with(item: $item);
    }

    /** @param  float  $cost  how much of its item is lost, above 0 and at most 1 */
    public function costing(float $cost): self
    {
        return $this->with(cost: $cost);
    }

    public function slips(string ...$slips): self
    {
        return $this->with(slips: array_values($slips));
    }

    /**
     * @param  list<string>  $slips  of another requirement that explain it whole
     * @param  int  $many  how many of them it takes
     */
    public function following(array $slips, int $many = 1): self
    {
        return $this->with(follows: $slips, followsMany: $many);
    }

    public function asMissingPage(bool $isOne = true): self
    {
        return $this->with(isMissingPage: $isOne);
    }

    /** @param  bool  $counts  whether it costs points in its requirement */
    public function loss(bool $counts = true): Loss
    {
        return new Loss($this->item, $this->cost, $counts);
    }

    private function with(mixed ...$changes): self
    {
        /** @var ShortfallFields $fields */
        $fields = $changes + get_object_vars($this);

        return new self(...$fields);
    }
}
