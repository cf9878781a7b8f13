<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** A page that does not say that it is UTF-8 (HTML Standard, 4.2.5.4). */
final readonly class MissingCharset extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/missing-charset', Weight::Departure, ProofMark::Insert, 'A page does not declare its encoding.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $declares = fn (Element $element) => $element->name === 'meta'
                && ($element->attribute('charset') !== null || strtolower($element->value('http-equiv') ?? '') === 'content-type');
            if (str_starts_with($page->file->bytes, "\xEF\xBB\xBF") || array_filter($page->elements, $declares) !== []) {
                continue;
            }
            yield $this->finding(
                $page->path(),
                $page->file,
                $page->document->first('head')?->startTag() ?? Span::at(0),
                'The page does not say that it is UTF-8, so letters beyond a to z may come out wrong.',
                'Type <meta charset="utf-8"> as the first thing in the head.',
                'charset',
            );
        }
    }
}
