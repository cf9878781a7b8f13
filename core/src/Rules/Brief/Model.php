<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Model as ModelRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** A page is not built as that of the model answer. */
final readonly class Model extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/model',
            Weight::Departure,
            ProofMark::Change,
            'A page is not built as that of the model answer.',
        );
    }

    public function examples(): array
    {
        $model = ['model' => [
            'index.html' => '<h2>Birds</h2><ul><li>Puffin</li></ul><h3>Owls</h3>',
            'tides.html' => '<p>Low.</p>',
        ]];
        $asked = 'kind: model, pages: home';
        $right = '<h2>Birds</h2><ul><li>Gull</li></ul><h3>Crows</h3>';

        return [
            new Example('missing', '<h2>Birds</h2><h3>Crows</h3>', $right, $asked, materials: $model),
            new Example('extra', "$right<ol><li>One</li></ol>", $right, $asked, materials: $model),
            new Example(
                'moved',
                '<h2>Birds</h2><h3>Crows</h3><ul><li>Gull</li></ul>',
                $right,
                $asked,
                materials: $model,
            ),
        ];
    }

    public function speaksFor(): array
    {
        return [ModelRequirement::class => ModelRequirement::variants()];
    }
}
