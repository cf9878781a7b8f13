<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Brief\Kind\Link as LinkRequirement;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Map\LinkMap;

/** Links within the site stay in the same tab. Common practice. */
final readonly class InsideNewTab extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/inside-new-tab',
            'Internal link, new tab',
            Weight::Tidy,
            ProofMark::TakeOut,
            'A link within the site opens a new tab.',
            'Each click opens one more tab of the same site, and the Back button no longer goes back.',
            Citation::practice(),
            ['markup/bad-attribute-value', 'markup/unknown-attribute', 'brief/link'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        $asked = self::askedFor($exam);
        foreach ($exam->site->fact(LinkMap::class)->links as $link) {
            $element = $link->reference->element;
            $target = $element?->attribute('target');
            if (
                $element === null
                || $target === null
                || ! $link->opensNewTab()
                || $exam->site->page($link->to()) === null
                || isset($asked[(string) $link->to()])
                || $exam->brief->wants($link->page, $element, 'target')
            ) {
                continue;
            }
            yield Draft::at($link->page, $element)
                ->span($target->span())
                ->anchored('@target')
                ->says('This link stays in the site but opens a new tab, so readers collect copies of the site.')
                ->remedy("Remove `target=\"{$target->value}\"`.")
                ->causedBy(Subject::place($link->page->path(), $target->nameSpan()->start))
                ->folded('target');
        }
    }

    /** @return array<true> the pages to which the brief asks for a link in a new tab */
    private static function askedFor(Examination $exam): array
    {
        $asked = [];
        foreach ($exam->brief->ofKind(LinkRequirement::class) as $requirement) {
            if ($requirement->inNewTab === true) {
                $asked[$requirement->to] = true;
            }
        }

        return $asked;
    }
}
