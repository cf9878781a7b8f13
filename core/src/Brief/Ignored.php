<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\PageScope;

/** Rules that are silent under a brief, on all pages or on some. */
final readonly class Ignored
{
    /** @param  list<string>  $rules  ids, ids with a variant, or groups such as `nav` */
    public function __construct(
        public array $rules,
        public PageScope $pages,
        /** @var array<mixed> as it was written */
        public array $given = [],
    ) {
    }

    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            Field::texts(
                'rules',
                'ids of rules (`link/empty`), of variants (`link/bad-address:space`), or groups (`nav`)',
                true,
            ),
            Field::pages('pages', 'where they are silent; `all` when it is left out'),
        ];
    }

    public function covers(string $rule, string $variant, string $file): bool
    {
        $names = [$rule, "$rule:$variant", explode('/', $rule)[0]];

        return array_intersect($names, $this->rules) !== [] && $this->pages->covers($file);
    }
}
