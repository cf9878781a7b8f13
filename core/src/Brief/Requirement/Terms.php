<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Requirement;

use InkedMargin\Core\Finding\Weight;

/** What every requirement has, whatever its kind. */
final readonly class Terms
{
    private const ONCE = 'once';

    private const ALONE = 'on its own';

    /**
     * @param  Weight|null  $weight  of what fails here; null for the rule's own
     * @param  string|null  $message  said in place of the product's own words; null for those
     * @param  Steps|null  $steps  null unless credit is given by steps
     * @param  array<mixed>  $given  every field of the requirement as it was written, by name
     * @param  bool  $countsAlone  whether it costs points too where it falls short only by a slip that costs elsewhere
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
        public bool $countsAlone = false,
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
            Field::choice(
                'counts',
                '`once`: a slip that costs points in another requirement costs nothing here; `on its own`: it costs here '
                    .'too; `once` when it is left out',
                [self::ONCE, self::ALONE],
            ),
            Field::text('message', 'said to the student in place of the product’s own words', false, 2_000),
            Field::text('comment', 'for yourself and those you teach with; students never see it', false, 20_000),
        ];
    }

    /** @param  float|null  $scaled  points in place of those that are written, where the brief is scaled to a total */
    public static function read(Fields $fields, ?float $scaled = null): self
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
            $scaled ?? $steps?->most() ?? $fields->number('points', 0.0),
            $credit,
            Weight::tryFrom($fields->text('weight')),
            $fields->optionalText('message'),
            $scaled === null ? $steps : $steps?->scaledTo($scaled),
            $fields->given(),
            $fields->text('counts') === self::ALONE,
        );
    }
}
