<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Style;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/** A `link` to a stylesheet that does not say that it is one (HTML Standard, 4.2.4: without `rel` it links nothing). */
final readonly class MissingRel extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'style/missing-rel',
            'Missing rel attribute',
            Weight::Fault,
            ProofMark::Insert,
            'A link to a stylesheet without `rel="stylesheet"`.',
            '`rel="stylesheet"` tells the browser what the file is for. Without it, the file is not '
                .'used and the page has no styles.',
            Citation::html('Link type “stylesheet”', 'links.html#link-type-stylesheet'),
            ['markup/unknown-attribute'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            foreach ($page->named('link') as $link) {
                $tag = $link->startTag();
                if ($tag === null || ! self::isSheetWithoutRel($link)) {
                    continue;
                }
                yield self::draft($page, $link, $tag);
            }
        }
    }

    private static function isSheetWithoutRel(Element $link): bool
    {
        $href = $link->value('href') ?? '';
        $isSheet = preg_match('/\.css(?:[?#]|$)/i', trim($href)) === 1
            || strtolower(trim($link->value('type') ?? '')) === 'text/css';

        return $isSheet
            && trim($link->value('rel') ?? '') === ''
            && $link->attribute('itemprop') === null;
    }

    private static function draft(Page $page, Element $link, Span $tag): Draft
    {
        $rel = $link->attribute('rel');
        $edit = $rel === null
            ? Edit::insert($page->file, $tag->start + strlen('<link'), ' rel="stylesheet"')
            : new Edit(
                $page->file,
                new Span(
                    $rel->nameSpan()->start,
                    max($rel->span()->end, self::endOf($page->file->bytes, $rel->span()->end)),
                ),
                'rel="stylesheet"',
            );

        return Draft::at($page, $link)
            ->says('This `<link>` has no `rel="stylesheet"`, so browsers do not load the stylesheet.')
            ->remedy('Type `rel="stylesheet"` inside the tag.')
            ->mend(Mend::of($edit))
            ->about(...self::files($page, $link));
    }

    /** @return list<string> the sheet that it is to link, where it is there */
    private static function files(Page $page, Element $link): array
    {
        foreach ($page->references as $reference) {
            if ($reference->element === $link && $reference->target->found !== null) {
                return [Subject::file($reference->target->found)];
            }
        }

        return [];
    }

    /** Behind the quotes of an empty value. */
    private static function endOf(string $bytes, int $end): int
    {
        return $end + strspn($bytes, '=', $end) > $end
            ? $end + 1 + strspn($bytes, '"\' ', $end + 1)
            : $end + strspn($bytes, '"\'', $end);
    }
}
