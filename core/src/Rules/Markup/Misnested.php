<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/**
 * Tags that overlap: an element is closed by the end of another before its own end tag comes (HTML Standard, 13.1.2.3).
 */
final readonly class Misnested extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/misnested',
            'Overlapping tags',
            Weight::Fault,
            ProofMark::Move,
            'Two elements overlap: the one that was opened last is not closed first.',
            'Elements fit inside each other like boxes. Where two overlap, the browser cuts them '
                .'apart, and a link or a style reaches too far or not far enough.',
            Citation::html(
                'An introduction to error handling and strange cases in the parser',
                'parsing.html#an-introduction-to-error-handling-and-strange-cases-in-the-parser',
            ),
            ['markup/unknown-element'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            $nested = self::nested($page);
            foreach ($page->pairs->crossed as [$element, $endTag]) {
                // Where scripts run, a `noscript` in the head is text (HTML Standard, 13.2.6.4.4).
                $isText = $element->is('noscript') && $element->parent?->name === 'head';
                if (! $isText && ! isset($nested[$element->closedAt ?? -1])) {
                    yield $this->crossing($element, $endTag, $page);
                }
            }
        }
    }

    /**
     * @return array<int, true> where a link or button begins in another and ends it, with all that is open in that: no
     *     overlap
     */
    private static function nested(Page $page): array
    {
        $offsets = [];
        foreach ($page->document->errors as $error) {
            if (str_starts_with($error->code, 'nested-')) {
                $offsets[$error->offset] = true;
            }
        }

        return $offsets;
    }

    private function crossing(Element $element, int $endTag, Page $page): Draft
    {
        $name = $element->name;
        $closedAt = $element->closedAt ?? 0;
        $isLate = $closedAt !== $endTag;
        $by = $isLate ? $page->pairs->tagAt($closedAt) : null;
        $other = $by === null ? null : trim($by, '</>');
        $related = [new Related($page->file, Span::at($endTag), "`</$name>` is here")];
        if ($by !== null) {
            array_unshift($related, new Related($page->file, Span::at($closedAt), "`$by` is here"));
        }
        $words = self::overlap($name, $by);

        return Draft::at($page, $element)
            ->words($words)
            ->related(...$related)
            ->about(Subject::place($page->path(), $endTag), Subject::place($page->path(), $closedAt));
    }

    /**
     * @param  ?string  $by the tag that ends the element
     */
    private static function overlap(string $name, ?string $by): Words
    {
        $other = $by === null ? null : trim($by, '</>');

        return match (true) {
            $other !== null && str_starts_with((string) $by, '</') => new Words(
                "`<$name>` and `<$other>` overlap: `<$name>` was opened last, so it must be closed first.",
                "Put `</$name>` before `</$other>`.",
            ),
            $by !== null => new Words(
                "`<$name>` is still open where `$by` begins, and they overlap.",
                "Close `<$name>` with `</$name>` before `$by`.",
            ),
            default => new Words(
                "`<$name>` ends inside an element that was opened in it, so the two overlap.",
                "Close the inner element before `</$name>`.",
            ),
        };
    }
}
