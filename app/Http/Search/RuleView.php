<?php

declare(strict_types=1);

namespace App\Http\Search;

use InkedMargin\Core\Example\Example;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Report\RuleCatalogue;
use InkedMargin\Core\Rules\Rule;

/** A rule of the check, with its examples. */
final readonly class RuleView
{
    /** @param  list<RuleExample>  $examples */
    private function __construct(
        public string $id,
        public Weight $weight,
        public ProofMark $mark,
        public string $title,
        public string $summary,
        /** what goes wrong if it is left */
        public string $why,
        /** standard and section, or common practice */
        public string $source,
        /** address of the section; null where there is none */
        public ?string $sourceUrl,
        public array $examples,
    ) {
    }

    public static function of(Rule $rule): self
    {
        $examples = array_map(function (Example $example) use ($rule): RuleExample {
            $finding = RuleCatalogue::findingOn($rule, $example);
            $asked = $example->brief()->requirements;

            return new RuleExample(
                $example->variant,
                $asked === [] ? null : $asked[0]->sentence(),
                $example->badExcerpt(),
                $example->goodExcerpt(),
                trim("$finding?->message $finding?->remedy"),
            );
        }, $rule->examples());

        $facts = $rule->facts;

        return new self(
            $facts->id,
            $facts->weight,
            $facts->mark,
            $facts->title,
            $facts->summary,
            $facts->why,
            $facts->source->text,
            $facts->source->url,
            $examples,
        );
    }
}
