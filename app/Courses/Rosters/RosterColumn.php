<?php

declare(strict_types=1);

namespace App\Courses\Rosters;

/** What a column of a roster holds. */
enum RosterColumn: string
{
    case Name = 'name';
    case First = 'first';
    case Last = 'last';
    case Handle = 'handle';
    case Email = 'email';
    case Group = 'group';
    case Other = 'other';

    /** Words of headings, common practice, as whole words without regard to capitals. */
    private const HEADINGS = [
        'email' => ['e-mail', 'email', 'mail'],
        'first' => ['first', 'forename', 'given', 'christian'],
        'last' => ['last', 'surname', 'family'],
        'handle' => ['handle', 'login', 'user', 'username', 'account', 'id', 'number', 'no', 'matriculation'],
        'group' => ['group', 'class', 'section', 'set', 'team', 'tutorial'],
        'name' => ['name', 'student', 'participant', 'pupil', 'learner'],
    ];

    /** What a heading says its column holds; null for one that says nothing of it. */
    public static function headed(string $heading): ?self
    {
        $words = preg_split('/[^\p{L}-]+/u', mb_strtolower($heading), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        foreach (self::HEADINGS as $column => $known) {
            if (array_intersect($words, $known) !== []) {
                return self::from($column);
            }
        }

        return null;
    }
}
