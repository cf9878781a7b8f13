<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\FieldType;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Rule;
use OpenApi\Attributes as OA;

/** A field of a brief, as the core declares it: what a form needs to know. */
#[OA\Schema]
final readonly class BriefFieldView
{
    /** @param  list<string>  $choices */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: FieldType::class)]
        public FieldType $type,
        #[OA\Property(description: 'what it means, as half a sentence')]
        public string $about,
        #[OA\Property]
        public bool $required,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $choices,
    ) {
    }

    public static function of(Field $field): self
    {
        return new self(
            $field->name,
            $field->type,
            $field->about,
            $field->required,
            // A brief names rules without knowing them.
            $field->name === 'rules' ? self::rules() : $field->choices,
        );
    }

    /** @return list<string> groups, then ids */
    private static function rules(): array
    {
        $ids = array_map(fn (Rule $rule) => $rule->id, Catalogue::rules());

        return [...array_unique(array_map(fn (string $id) => explode('/', $id)[0], $ids)), ...$ids];
    }
}
