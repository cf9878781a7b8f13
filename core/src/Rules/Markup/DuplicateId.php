<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Related;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;

/** Two elements of one page with the same id (HTML Standard, 3.2.6). */
final readonly class DuplicateId extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/duplicate-id', Weight::Fault, ProofMark::Change, 'Two elements of a page have the same id.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $first = [];
            foreach ($page->elements as $element) {
                $id = $element->attribute('id');
                if ($id === null || $id->value === '' || ! $element->isWritten()) {
                    continue;
                }
                if (! isset($first[$id->value])) {
                    $first[$id->value] = $id;

                    continue;
                }
                yield $this->on(
                    $element,
                    $page->file,
                    $id->span(),
                    "The id “{$id->value}” is on another element of this page already; a link or a style finds only the first.",
                    'Give this one an id of its own, or use a class for what several share.',
                    [new Related($page->file, $first[$id->value]->span(), 'the same id stands here')],
                );
            }
        }
    }
}
