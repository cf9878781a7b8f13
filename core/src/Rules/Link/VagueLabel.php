<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Label;
use InkedMargin\Core\Site\Map\LinkMap;
use InkedMargin\Core\Site\ReferenceKind;

/** A link whose words do not say where it leads (WCAG 2.2, 2.4.4). */
final readonly class VagueLabel extends Rule
{
    /** Common practice; from memory. */
    private const VAGUE = [
        'click here', 'click', 'here', 'this', 'this link', 'link', 'click this', 'click this link', 'press here',
        'go here', 'more', 'read more', 'see more', 'learn more', 'more info', 'more information', 'details',
        'this page', 'this website', 'this site', 'website', 'web page',
    ];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/vague-label',
            'Vague link words',
            Weight::Tidy,
            ProofMark::Change,
            'Link words such as “click here”, which do not say where the link leads.',
            'Many people read only the links of a page, or have them read to them as a list. “Here” tells them nothing.',
            Citation::wcag('2.4.4 Link Purpose (In Context)', 'link-purpose-in-context'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->fact(LinkMap::class)->links as $link) {
            $element = $link->reference->element;
            $isVague = in_array(Label::plain($link->label), self::VAGUE, true);
            if ($element === null || $link->reference->kind !== ReferenceKind::Link || ! $isVague) {
                continue;
            }
            yield Draft::at($link->page, $element)
                ->says("The words “{$link->label}” do not say where this link leads.")
                ->remedy('Use words that name the target, such as “the tide tables”.')
                ->folded("vague {$link->label}");
        }
    }
}
