<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Source\Span;

/**
 * An ampersand that looks like the start of a character reference and is none (HTML Standard, 13.1.4, "ambiguous
 * ampersand"), or a character that the brief wants as a reference.
 */
final readonly class RawCharacter extends Rule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/raw-character',
            'Unescaped character',
            Weight::Tidy,
            ProofMark::Change,
            'A character reference does not exist, or a character is typed that the brief wants as a reference.',
            'Some characters, such as `&` and `<`, mean something in HTML. Written as a character '
                .'reference, they look the same in every browser.',
            Citation::html('Character references', 'syntax.html#character-references'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            foreach ($page->document->errors as $error) {
                if ($error->code !== 'unknown-named-character-reference') {
                    continue;
                }
                $start = (int) strrpos($page->file->bytes, '&', $error->offset - strlen($page->file->bytes));
                $span = new Span($start, $error->offset + 1);
                $name = $page->file->excerpt($span);
                yield Draft::onPage($page, $span, $name)
                    ->variant('unknown')
                    ->says("There is no character reference `$name`, so it is shown as it is typed.")
                    ->remedy('Check its spelling, or type `&amp;` for the sign & itself.')
                    ->folded($name);
            }
        }
    }
}
