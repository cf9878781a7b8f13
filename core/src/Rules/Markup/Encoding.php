<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** Bytes that are not UTF-8, the one encoding that a page may have (HTML Standard, 4.2.5.4). */
final readonly class Encoding extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/encoding', Weight::Fault, ProofMark::Change, 'A page is not saved as UTF-8.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            $encoding = $page->document->encoding;
            if ($encoding?->declaration !== null) {
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    $encoding->declaration,
                    "The page says that it is {$encoding->declared}. Pages have to be UTF-8.",
                    'Save the page as UTF-8, and type <meta charset="utf-8">.',
                    'encoding',
                );

                continue;
            }
            $at = $page->file->firstInvalidByte();
            if ($at === null) {
                continue;
            }
            $utf16 = preg_match('/^(?:\xff\xfe|\xfe\xff)/', $page->file->bytes) === 1;
            yield $this->finding(
                $page->path(),
                $page->file,
                new Span($at, min($at + 1, strlen($page->file->bytes))),
                $utf16 ? 'The page is saved as UTF-16. Browsers read pages as UTF-8.' : 'From here on there are bytes that are not UTF-8, so letters come out wrong on other machines.',
                'Save the page again with the encoding UTF-8.',
                'encoding',
            );
        }
    }
}
