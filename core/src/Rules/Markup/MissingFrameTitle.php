<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Site\Page;

/** An `iframe` that nothing names (WCAG 2.2, 4.1.2; technique H64). */
final readonly class MissingFrameTitle extends ElementRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-frame-title',
            'Missing frame title',
            Weight::Departure,
            ProofMark::Insert,
            'An `<iframe>` without a title.',
            'People who have the page read to them hear the title of a frame, and choose by it whether to go in. '
                .'Without one they hear only “frame”.',
            Citation::wcag('4.1.2 Name, Role, Value', 'name-role-value'),
        ));
    }

    protected function concerns(string $name): bool
    {
        return $name === 'iframe';
    }

    protected function checkElement(Element $element, Page $page, Examination $exam): ?Draft
    {
        $says = trim(($element->value('title') ?? '').($element->value('aria-label') ?? ''));
        if ($says !== '' || $element->attribute('aria-labelledby') !== null || self::isUnseen($element)) {
            return null;
        }
        $title = $element->attribute('title');

        return Draft::at($page, $element)
            ->span($title?->span())
            ->anchored('!title')
            ->says('This `<iframe>` has no title, so screen readers cannot say what is in it.')
            ->remedy($title === null
                ? 'Add `title="…"` with what it shows, such as `title="Map of the harbour"`.'
                : 'Write in `title` what it shows, such as `title="Map of the harbour"`.')
            ->folded('frame');
    }

    private static function isUnseen(Element $frame): bool
    {
        return $frame->attribute('hidden') !== null
            || $frame->value('aria-hidden') === 'true'
            || in_array($frame->value('width'), ['0', '1'], true)
            || in_array($frame->value('height'), ['0', '1'], true)
            || preg_match('/display\s*:\s*none|visibility\s*:\s*hidden/i', $frame->value('style') ?? '') === 1;
    }
}
