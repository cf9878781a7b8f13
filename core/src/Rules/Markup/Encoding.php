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
use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\FileEncoding as PageEncoding;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/** Another encoding than UTF-8, or bytes that are not valid in the page's encoding (HTML Standard, 4.2.5.4). */
final readonly class Encoding extends Rule
{
    private const REMEDY = 'Save the page again with the encoding UTF-8.';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/encoding',
            'Wrong character encoding',
            Weight::Fault,
            ProofMark::Change,
            'A page is not saved as UTF-8.',
            'The file is saved in another encoding than browsers expect. Letters such as `é` or `ö` '
                .'turn into other characters.',
            Citation::html('Specifying the document’s character encoding', 'semantics.html#charset'),
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            yield from $this->declaration($page);
            $at = $page->document->firstUnreadable;
            if ($at !== null) {
                $name = $page->document->encoding->name;
                yield Draft::onPage($page, new Span($at, $at + strlen("\u{FFFD}")), 'unreadable')
                    ->variant('unreadable')
                    ->says(
                        "From here on there are bytes that are not valid $name, so letters look wrong on "
                            .'other machines.',
                    )
                    ->remedy(self::REMEDY);
            }
        }
    }

    /** @return iterable<Draft> one for the page's byte order mark and its declaration together */
    private function declaration(Page $page): iterable
    {
        $encoding = $page->document->encoding;
        $declaration = $encoding->declaration;
        $unknown = $this->unknownLabel($page);
        if ($encoding->isMarked && ! $encoding->isUtf8()) {
            yield Draft::onPage($page, new Span(0, strlen("\u{FEFF}")), 'encoding')
                ->variant('other')
                ->says("The page is saved as {$encoding->name}; web pages have to be UTF-8.")
                ->remedy(self::REMEDY);
        } elseif ($declaration !== null && $encoding->isContradicted()) {
            yield Draft::onPage($page, $declaration->span, 'encoding')
                ->variant('contradicted')
                ->says("The page is saved as UTF-8, but it says here that it is {$declaration->label}.")
                ->remedy('Type `utf-8`.');
        } elseif ($declaration !== null && ! str_starts_with(self::plain($declaration->label), 'utf8')) {
            yield Draft::onPage($page, $declaration->span, 'encoding')
                ->variant('other')
                ->says("The page says that it is {$declaration->label}; web pages have to be UTF-8.")
                ->remedy('Save the page as UTF-8, and type `<meta charset="utf-8">`.');
        } elseif ($unknown !== null) {
            $span = $unknown->valueSpan() ?? $unknown->nameSpan();
            yield Draft::onPage($page, $span, 'encoding')
                ->variant('unknown')
                ->says("There is no encoding named “{$unknown->value}”.")
                ->remedy('Type `utf-8`.')
                ->mend($unknown->valueSpan() === null ? null : Mend::of(new Edit($page->file, $span, 'utf-8')));
        }
    }

    private function unknownLabel(Page $page): ?Attribute
    {
        foreach ($page->named('meta') as $meta) {
            $charset = $meta->attribute('charset');
            if ($charset !== null && PageEncoding::named($charset->value) === null) {
                return $charset;
            }
        }

        return null;
    }

    private static function plain(string $label): string
    {
        return str_replace('-', '', strtolower($label));
    }
}
