<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Finding\Weight;

/** What every requirement has, whatever its kind. */
final readonly class Terms
{
    /**
     * @param  Weight|null  $weight  of what fails here; null for the rule's own
     * @param  string|null  $message  said in place of the product's own words; null for those
     * @param  Steps|null  $steps  null unless credit is given by steps
     * @param  array<mixed>  $given  every field of the requirement as it was written, by name
     */
    public function __construct(
        public string $id,
        public string $title,
        public PageScope $pages,
        public float $points = 0.0,
        public Credit $credit = Credit::Share,
        public ?Weight $weight = null,
        public ?string $message = null,
        public ?Steps $steps = null,
        public array $given = [],
    ) {
    }

    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            Field::text('id', 'names the requirement: letters, digits, `-`, `_` and `.`', true, 60),
            Field::text('kind', 'what kind of requirement it is', true, 40),
            Field::text('title', 'what it is called on the screens', true, 200),
            Field::pages(
                'pages',
                '`all`, `home`, a name or glob, a list of them, or `not:` with a list; `all` when it is left out',
            ),
            Field::number('points', 'points for it; 0 when it is left out', 10_000),
            Field::choice(
                'credit',
                '`share`: points in proportion; `all`: all or nothing; `steps`: by how many things are wrong',
                array_column(Credit::cases(), 'value'),
            ),
            Field::steps('steps', 'points by how many things are wrong, such as `{0: 10, 2: 6}`; in place of `points`'),
            Field::choice(
                'weight',
                'how much its findings weigh, in place of the rule’s own',
                array_column(Weight::cases(), 'value'),
            ),
            Field::text('message', 'said to the student in place of the product’s own words', false, 2_000),
        ];
    }

    public static function read(Fields $fields): self
    {
        $id = $fields->text('id');
        if ($id !== '' && preg_match('/^[\pL\pN._-]+$/uD', $id) !== 1) {
            $fields->problem('id', "\"$id\" has characters other than letters, digits, - _ and .");
        }

        $steps = Steps::read($fields);
        $credit = Credit::tryFrom($fields->text('credit')) ?? ($steps === null ? Credit::Share : Credit::Steps);
        if (($credit === Credit::Steps) !== ($steps !== null)) {
            $fields->problem(
                'steps',
                $steps === null ? 'credit by steps needs them' : "they are for credit by steps, not \"$credit->value\"",
            );
        }
        if ($steps !== null && $fields->has('points') && $fields->number('points', 0.0) !== $steps->most()) {
            $fields->problem('points', "the steps give {$steps->most()} at most: leave points out, or give as many");
        }

        return new self(
            $id,
            $fields->text('title'),
            PageScope::read($fields->value('pages'), $fields),
            $steps?->most() ?? $fields->number('points', 0.0),
            $credit,
            Weight::tryFrom($fields->text('weight')),
            $fields->optionalText('message'),
            $steps,
            $fields->given(),
        );
    }

    /** The points that an assessment brings, to the hundredth. */
    public function earned(Assessment $assessment): float
    {
        $met = $assessment->met ?? 0.0;

        return match (true) {
            $assessment->met === null => 0.0,
            $this->steps !== null => $this->steps->of($assessment->wrong()),
            $this->credit === Credit::All => $met >= 1.0 ? $this->points : 0.0,
            default => round($this->points * $met, 2),
        };
    }

    /** How they came about, in words. */
    public function sum(Assessment $assessment): string
    {
        return match (true) {
            $assessment->met === null => 'left out, as it cannot be told',
            $this->steps !== null => "{$assessment->wrong()} wrong: {$this->steps->sentence()}",
            $this->credit === Credit::All => $assessment->met >= 1.0
                ? 'all of it is met'
                : 'all or nothing, and not all of it is met',
            $assessment->met >= 1.0 => 'all of it is met',
            default => round(100 * $assessment->met, 2)." % of $this->points",
        };
    }
}
