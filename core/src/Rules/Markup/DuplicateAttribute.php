<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** An attribute twice in one tag: the second is ignored (HTML Standard, 13.2.2, duplicate-attribute). */
final readonly class DuplicateAttribute extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/duplicate-attribute', Weight::Fault, ProofMark::TakeOut, 'A tag has the same attribute twice.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach ($page->document->errors as $error) {
                if ($error->code === 'duplicate-attribute') {
                    preg_match('/[^\\s"\'<>\\/=]*$/D', substr($page->file->bytes, max(0, $error->offset - 200), min(200, $error->offset)), $name);
                    $start = $error->offset - strlen($name[0] ?? '');
                    yield $this->finding(
                        $page->path(),
                        $page->file,
                        new Span($start, $error->offset),
                        'This tag has the attribute “'.strtolower($name[0] ?? '').'” already; a browser ignores the second.',
                        'Keep one of the two.',
                        'attribute:'.strtolower($name[0] ?? ''),
                    );
                }
            }
        }
    }
}
