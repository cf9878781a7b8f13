<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Link as LinkRequirement;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\ReferenceKind;

/** Links to other sites open a new tab. Told once a page. Common practice. */
final readonly class OutsideSameTab extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/outside-same-tab',
            'External link, same tab',
            Weight::Tidy,
            ProofMark::Insert,
            'A link to another site opens in the same tab.',
            'The other site takes the place of your page, and some readers do not find their way '
                .'back. Not everybody agrees: some prefer that readers choose the tab themselves.',
            Citation::practice(),
            ['brief/link'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        if (self::isUnwanted($exam)) {
            return;
        }
        foreach ($exam->site->fact(LinkMap::class)->links as $link) {
            $element = $link->reference->element;
            $isInSameTab = $link->reference->kind === ReferenceKind::Link && ! $link->opensNewTab();
            if ($element === null || ! $link->leavesSite() || ! $isInSameTab) {
                continue;
            }
            if ($exam->brief->forbids($link->page, $element, 'target')) {
                continue;
            }
            yield Draft::at($link->page, $element)
                ->says('This link leaves the site in the same tab, so readers have to find their way back.')
                ->remedy('Add `target="_blank" rel="noopener"` to the tag.')
                ->folded('target');
        }
    }

    /** Whether the brief asks for a link in the same tab */
    private static function isUnwanted(Examination $exam): bool
    {
        foreach ($exam->brief->ofKind(LinkRequirement::class) as $requirement) {
            if ($requirement->inNewTab === false) {
                return true;
            }
        }

        return false;
    }
}
