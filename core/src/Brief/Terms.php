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
     */
    public function __construct(
        public string $id,
        public string $title,
        public PageScope $pages,
        public float $points = 0.0,
        public Credit $credit = Credit::Share,
        public ?Weight $weight = null,
        public ?string $message = null,
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
                '`share`: points in proportion; `all`: all or nothing',
                array_column(Credit::cases(), 'value'),
            ),
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

        return new self(
            $id,
            $fields->text('title'),
            PageScope::read($fields->value('pages'), $fields),
            $fields->number('points', 0.0),
            Credit::tryFrom($fields->text('credit')) ?? Credit::Share,
            Weight::tryFrom($fields->text('weight')),
            $fields->optionalText('message'),
        );
    }
}
