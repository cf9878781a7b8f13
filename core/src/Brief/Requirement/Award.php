<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Source\English;

/**
 * How the points of a requirement follow from its losses. It holds all that is needed for that, so that they can be
 * worked out again without another check when an instructor rubs something out.
 */
final readonly class Award
{
    /**
     * @param  int  $items  how many things could be met, such as pages
     * @param  int  $allowed  so many losses cost nothing
     */
    public function __construct(
        public float $points,
        public Credit $credit = Credit::Share,
        public ?Steps $steps = null,
        public int $items = 1,
        public int $allowed = 0,
    ) {
    }

    public static function of(Terms $terms, Assessment $assessment): self
    {
        return new self($terms->points, $terms->credit, $terms->steps, $assessment->items, $assessment->allowed);
    }

    /**
     * @param  array{points: float|int, credit: string, steps: array<int, float|int>|null, items: int,
     *     allowed: int}  $kept  as `toArray` gave it
     */
    public static function fromArray(array $kept): self
    {
        return new self(
            (float) $kept['points'],
            Credit::from($kept['credit']),
            $kept['steps'] === null || $kept['steps'] === [] ? null : Steps::of($kept['steps']),
            $kept['items'],
            $kept['allowed'],
        );
    }

    /** @return array{points: float, credit: string, steps: array<int, float>|null, items: int, allowed: int} */
    public function toArray(): array
    {
        return [
            'points' => $this->points,
            'credit' => $this->credit->value,
            'steps' => $this->steps?->points,
            'items' => $this->items,
            'allowed' => $this->allowed,
        ];
    }

    /** @param  list<Loss>  $losses  all of them, those too that do not count */
    public function worked(array $losses): Worked
    {
        $count = count(array_filter($losses, fn (Loss $loss) => $loss->counts));
        $lost = $count > $this->allowed ? $this->lostBy($losses) : array_map(fn () => 0.0, $losses);
        $share = max(0.0, 1.0 - array_sum($lost));
        // What is left of all but all is the error of binary numbers.
        $share = $share < 1e-9 ? 0.0 : $share;
        $points = round(match (true) {
            $count <= $this->allowed => $this->points,
            $this->steps !== null => $this->steps->at($count),
            $this->credit === Credit::All => 0.0,
            default => $this->points * $share,
        }, 2);
        $weights = $this->credit === Credit::Share
            ? $lost
            : array_map(fn (float $one) => $one > 0.0 ? 1.0 : 0.0, $lost);
        $costs = Portions::of($this->points - $points, $weights);

        return new Worked($share, $points, $costs, $this->how($count, $share));
    }

    /**
     * @param  list<Loss>  $losses
     * @return list<float> the share of the whole that each loses: no item is lost more than once
     */
    private function lostBy(array $losses): array
    {
        $byItem = [];
        foreach ($losses as $loss) {
            $byItem[$loss->item] = ($byItem[$loss->item] ?? 0.0) + ($loss->counts ? $loss->share : 0.0);
        }
        $items = max(1, $this->items, count($byItem));

        return array_map(
            fn (Loss $loss) => $loss->counts ? $loss->share / max(1.0, $byItem[$loss->item]) / $items : 0.0,
            $losses,
        );
    }

    private function how(int $wrong, float $share): string
    {
        return match (true) {
            $wrong > 0 && $wrong <= $this->allowed => English::count($wrong, 'slip').', and '
                .($this->allowed === 1 ? '1 is' : "$this->allowed are").' allowed',
            $wrong === 0 => 'everything asked for is there',
            $this->steps !== null => English::count($wrong, 'slip').": {$this->steps->sentence()}",
            $this->credit === Credit::All => 'all or nothing, and something is missing or wrong',
            default => round(100 * $share, 1)." % of $this->points",
        };
    }
}
