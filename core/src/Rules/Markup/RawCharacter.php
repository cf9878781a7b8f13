<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** An ampersand that looks like the beginning of a character reference and is none (HTML Standard, 13.1.4, "ambiguous ampersand"). */
final readonly class RawCharacter extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/raw-character', Weight::Tidy, ProofMark::Change, 'An ampersand looks like a character reference and is none.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->document->errors as $error) {
                if ($error->code !== 'unknown-named-character-reference') {
                    continue;
                }
                $start = (int) strrpos($page->file->bytes, '&', $error->offset - strlen($page->file->bytes));
                $name = $page->file->excerpt(new Span($start, $error->offset + 1));
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    new Span($start, $error->offset + 1),
                    "There is no character reference {$name}; it is shown as it stands.",
                    'Look at its spelling, or type &amp; for the sign itself.',
                    $name,
                );
            }
        }
    }
}
