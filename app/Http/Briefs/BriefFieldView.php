<?php

declare(strict_types=1);

namespace App\Http\Briefs;

use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\FieldType;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Rule;

/** A field of a brief, as the core declares it: what a form needs to know. */
final readonly class BriefFieldView
{
    /** @param  list<string>  $choices */
    public function __construct(
        public string $name,
        public FieldType $type,
        /** what it means, as half a sentence */
        public string $about,
        public bool $required,
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
