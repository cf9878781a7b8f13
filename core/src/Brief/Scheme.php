<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Problems;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Source\English;

/**
 * How points come together beyond the requirements: what findings cost, what being late costs, and how it is rounded.
 */
final readonly class Scheme
{
    /** What points are rounded to where a brief says nothing: nobody can tell 40.55 from 40.5 by reading a site. */
    public const HALF = 0.5;

    /**
     * @param  array<value-of<Weight>, float>  $off  points off for each finding that no requirement tells of, by its
     *     weight
     * @param  float|null  $mostOff  points that all findings together may cost; null for any
     * @param  int  $grace  minutes after the due time that are not late
     * @param  float  $offPerDay  points off for each day begun after the due time
     * @param  float  $lateFloor  points below which being late does not take anybody
     * @param  float  $percentPerDay  percent of the total off for each day begun after the due time
     * @param  float|null  $total  points that the requirements are scaled to; null where they stand as written
     * @param  float  $step  points are rounded to a multiple of it, half up
     */
    public function __construct(
        public array $off = [],
        public ?float $mostOff = null,
        public int $grace = 0,
        public float $offPerDay = 0.0,
        public float $lateFloor = 0.0,
        public float $step = self::HALF,
        /** @var array<mixed> as it was written */
        public array $given = [],
        public float $percentPerDay = 0.0,
        public ?float $total = null,
    ) {
    }

    /** @return list<Field> */
    public static function fields(): array
    {
        $off = fn (Weight $weight) => Field::number(
            "off_per_{$weight->value}",
            "points off for each {$weight->value} that no requirement tells of; 0 when it is left out",
            10_000,
        );

        return [
            ...array_map($off, Weight::cases()),
            Field::number('most_off', 'points that these may cost in all; any when it is left out', 10_000),
            Field::wholeNumber('grace', 'minutes after the due time that are not late', 0, 100_000),
            Field::number('off_per_day', 'points off for each day begun after the due time', 10_000),
            Field::number('percent_per_day', 'percent of the total off for each day begun after the due time', 100),
            Field::number('late_floor', 'points below which being late takes nobody', 10_000),
            Field::number(
                'round_to',
                'points are rounded to a multiple of it, half up, once the sum is made; 0.5 when it is left out',
                100,
                0.01,
            ),
            Field::number('total', 'points of all requirements together: theirs are scaled to it', 100_000, 0.01),
        ];
    }

    public static function read(Fields $fields): self
    {
        $off = [];
        foreach (Weight::cases() as $weight) {
            $off[$weight->value] = $fields->number("off_per_$weight->value", 0.0);
        }

        return new self(
            array_filter($off),
            $fields->has('most_off') ? $fields->number('most_off', 0.0) : null,
            $fields->wholeNumber('grace') ?? 0,
            $fields->number('off_per_day', 0.0),
            $fields->number('late_floor', 0.0),
            $fields->number('round_to', self::HALF),
            $fields->given(),
            $fields->number('percent_per_day', 0.0),
            $fields->has('total') ? $fields->number('total', 0.0) : null,
        );
    }

    /** @param  array<mixed>  $given  as `$given` of another had it */
    public static function of(array $given): self
    {
        return self::read(new Fields($given, self::fields(), 'marking', new Problems([])));
    }

    /** @return list<string> what findings and being late cost, each as a sentence; none where they cost nothing */
    public function sentences(): array
    {
        $points = fn (float $number) => English::count($number, 'point');
        $sentences = [];
        foreach ($this->off as $weight => $off) {
            $sentences[] = "Each $weight that no requirement covers costs {$points($off)}.";
        }
        if ($this->off !== [] && $this->mostOff !== null) {
            $sentences[] = "Together they cost {$points($this->mostOff)} at most.";
        }
        if ($this->offPerDay > 0 || $this->percentPerDay > 0) {
            $floor = $this->lateFloor > 0 ? ", but takes nobody below {$points($this->lateFloor)}" : '';
            $sentences[] = "Each day begun after the due time costs {$this->offInWords()}$floor.";
        }
        if ($this->grace > 0) {
            $sentences[] = 'Up to '.English::count($this->grace, 'minute').' after the due time is not late.';
        }

        return $sentences;
    }

    /** Days begun after the due time and the grace. */
    public function daysLate(int $minutes): int
    {
        return $minutes <= $this->grace ? 0 : (int) ceil($minutes / (24 * 60));
    }

    /** Points off for so many days. */
    public function offFor(int $days, float $possible): float
    {
        return round($days * ($this->offPerDay + $this->percentPerDay / 100 * $possible), 2);
    }

    /** What a day costs, such as "2 points" or "10 % of the total". */
    public function offInWords(): string
    {
        return implode(' and ', array_filter([
            $this->offPerDay > 0.0 ? English::count($this->offPerDay, 'point') : '',
            $this->percentPerDay > 0.0 ? "$this->percentPerDay % of the total" : '',
        ]));
    }

    /** To a multiple of the step, half up. */
    public function rounded(float $points): float
    {
        // A number that is a half but for the error of its binary form counts as one.
        return round(floor($points / $this->step + 0.5 + 1e-9) * $this->step, 4);
    }
}
