<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/** The ids of all rules. A brief is read below the rules, so it knows them by a list, which a test holds to theirs. */
final class RuleNames
{
    /** @return list<string> */
    public static function all(): array
    {
        /** @var list<string>|null $names */
        static $names = null;

        return $names ??= require __DIR__.'/../../data/rule-names.php';
    }
}
