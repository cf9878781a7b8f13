<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\TextMap;

/** Two elements of one page with the same id (HTML Standard, 3.2.6). */
final readonly class DuplicateId extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/duplicate-id',
            'Duplicate id',
            Weight::Fault,
            ProofMark::Change,
            'Two elements of a page have the same id.',
            'An id is the name of one element. If two share it, a link, a label or a script finds '
                .'only the first.',
            Citation::html('The id attribute', 'dom.html#the-id-attribute'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            /** @var TextMap<Attribute> $first */
            $first = new TextMap;
            foreach ($page->elements as $element) {
                $id = $element->attributes === [] || ! $element->isWritten() ? null : $element->attribute('id');
                if ($id === null || $id->value === '') {
                    continue;
                }
                $other = $first->get($id->value);
                if ($other === null) {
                    $first->put($id->value, $id);

                    continue;
                }
                yield self::draft($page, $element, $id, $other);
            }
        }
    }

    private static function draft(Page $page, Element $element, Attribute $id, Attribute $first): Draft
    {
        return Draft::at($page, $element)
            ->span($id->span())
            ->says("The id `{$id->value}` is used twice on this page; "
                .'links, labels and scripts find only the first.')
            ->remedy('Give this element its own id, or use `class` for a name that several elements share.')
            ->related(new Related($page->file, $first->span(), 'the first element with this id'))
            ->folded("id {$id->value}");
    }
}
