<?php

declare(strict_types=1);

namespace App\Http\Resources;

use InkedMargin\Core\Example\Example;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Report\RuleCatalogue;
use InkedMargin\Core\Rules\Rule;
use OpenApi\Attributes as OA;

/** A rule of the check, with its examples. */
#[OA\Schema]
final readonly class RuleView
{
    /** @param  list<RuleExample>  $examples */
    private function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: Weight::class)]
        public Weight $weight,
        #[OA\Property(enum: ProofMark::class)]
        public ProofMark $mark,
        #[OA\Property]
        public string $summary,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RuleExample::class))]
        public array $examples,
    ) {
    }

    public static function of(Rule $rule): self
    {
        $examples = array_map(function (Example $example) use ($rule): RuleExample {
            $finding = RuleCatalogue::findingOn($rule, $example);

            return new RuleExample(
                $example->variant,
                $example->badExcerpt(),
                $example->goodExcerpt(),
                trim("$finding?->message $finding?->remedy"),
            );
        }, $rule->examples());

        return new self($rule->id, $rule->weight, $rule->mark, $rule->facts->summary, $examples);
    }
}
