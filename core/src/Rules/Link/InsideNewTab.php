<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Link as LinkRequirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;

/** Links within the site stay in the same tab. Common practice. */
final readonly class InsideNewTab extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'link/inside-new-tab',
            Weight::Tidy,
            ProofMark::TakeOut,
            'A link within the site opens a new tab.',
            ['markup/bad-attribute-value', 'brief/link'],
        );
    }

    public function check(Examination $exam): iterable
    {
        $asked = [];
        foreach ($exam->brief->ofKind(LinkRequirement::class) as $requirement) {
            if ($requirement->inNewTab === true) {
                $asked[$requirement->to] = true;
            }
        }
        foreach ($exam->site->map()->links as $link) {
            $element = $link->reference->element;
            $target = $element?->attribute('target');
            if (
                $element === null
                || $target === null
                || ! $link->opensNewTab()
                || $exam->site->page($link->to()) === null
                || isset($asked[(string) $link->to()])
            ) {
                continue;
            }
            yield $this->elementFinding(
                $link->page,
                $element,
                'This link stays in the site but opens a new tab, so readers collect copies of the site.',
                "Remove `target=\"{$target->value}\"`.",
                span: $target->span(),
                about: '@target',
                fold: 'target',
            );
        }
    }
}
