<?php

declare(strict_types=1);

namespace App\Checks;

use InkedMargin\Core\Rules\Catalogue;

/** What a student can learn from one kind of finding. */
final readonly class Teaching
{
    private function __construct(
        public string $rule,
        public string $variant,
        public string $title,
        /** what goes wrong if it is left */
        public string $why,
        /** an example of code that is wrong */
        public string $bad,
        /** the same as it should be */
        public string $good,
    ) {
    }

    /**
     * One for each kind of finding.
     *
     * @param  list<PencilledFinding>  $findings
     * @return list<self>
     */
    public static function about(array $findings): array
    {
        $kinds = [];
        foreach ($findings as $finding) {
            $kinds["$finding->rule:$finding->variant"] = [$finding->rule, $finding->variant];
        }

        return array_values(array_filter(array_map(
            fn (array $kind) => self::of($kind[0], $kind[1]),
            array_values($kinds),
        )));
    }

    /** Null for a rule that there is no more. */
    private static function of(string $id, string $variant): ?self
    {
        $rule = Catalogue::rule($id);
        if ($rule === null) {
            return null;
        }
        $example = $rule->example($variant);

        return new self(
            $id,
            $variant,
            $rule->title,
            $rule->facts->why,
            $example->badExcerpt(),
            $example->goodExcerpt(),
        );
    }
}
