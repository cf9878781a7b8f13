<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;

/** A page that does not say that it is UTF-8 (HTML Standard, 4.2.5.4). */
final readonly class MissingCharset extends Rule
{
    private const TAG = '<meta charset="utf-8">';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-charset',
            'Missing character encoding',
            Weight::Departure,
            ProofMark::Insert,
            'A page does not declare its encoding.',
            'Without it browsers guess how letters are stored. If they guess wrong, `é` turns into '
                .'`Ã©`.',
            Citation::html('Specifying the document’s character encoding', 'semantics.html#charset'),
            ['markup/encoding', 'markup/missing-attribute'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            if ($page->document->encoding->isMarked || self::declares($page)) {
                continue;
            }
            $head = $page->document->first('head')?->startTag();
            yield Draft::onPage($page, $page->headPlace(), 'charset')
                ->says('The page does not declare its encoding, so letters such as é may look wrong.')
                ->remedy('Type `'.self::TAG.'` right after `<head>`.')
                ->mend($head === null ? null : Mend::of(Edit::insert($page->file, $head->end, "\n".self::TAG)));
        }
    }

    private static function declares(Page $page): bool
    {
        foreach ($page->named('meta') as $meta) {
            if ($meta->attribute('charset') !== null || strtolower(
                $meta->value('http-equiv') ?? '',
            ) === 'content-type') {
                return true;
            }
        }

        return false;
    }
}
