<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Rule;

/** A stylesheet that is linked, or written, in the body. Common practice: the page is shown twice while it loads. */
final readonly class NotInHead extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/not-in-head',
            'Styles outside head',
            Weight::Departure,
            ProofMark::Move,
            'A stylesheet is linked or written in the body.',
            'A browser draws the page while it loads. If the styles come late, readers see the page '
                .'without them first.',
            Citation::html('The link element', 'semantics.html#the-link-element'),
            [
                'markup/missing-skeleton-tag',
                'markup/unclosed-element',
                'markup/stray-text',
                'markup/stray-end-tag',
                'markup/content-model',
            ],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            foreach ($page->stylesheets() as $reference) {
                $link = $reference->element;
                if ($link !== null && self::isInBody($link)) {
                    yield Draft::at($page, $link)
                        ->says('This stylesheet is linked in `<body>`, so the page can first show without it.')
                        ->remedy('Move this `<link>` into `<head>`.');
                }
            }
        }
    }

    private static function isInBody(Element $element): bool
    {
        for ($around = $element->parent; $around instanceof Element; $around = $around->parent) {
            if ($around->name === 'body') {
                return true;
            }
        }

        return false;
    }
}
