<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\Encoding as PageEncoding;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** Another encoding than UTF-8, the one that a page may have, or bytes that are none in it (HTML Standard, 4.2.5.4). */
final readonly class Encoding extends Rule
{
    private const REMEDY = 'Save the page again with the encoding UTF-8.';

    public function __construct()
    {
        parent::__construct('markup/encoding', Weight::Fault, ProofMark::Change, 'A page is not saved as UTF-8.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            yield from $this->declaration($page);
            $at = $page->document->firstUnreadable;
            if ($at !== null) {
                $name = $page->document->encoding->name;
                yield $this->finding($page->path(), $page->file, new Span($at, $at + strlen("\u{FFFD}")), "From here on there are bytes that are not {$name}, so letters come out wrong on other machines.", self::REMEDY, 'unreadable');
            }
        }
    }

    /** @return iterable<Finding> one for the page's mark and its declaration together */
    private function declaration(Page $page): iterable
    {
        $encoding = $page->document->encoding;
        $declaration = $encoding->declaration;
        $unknown = $this->unknownLabel($page);
        if ($encoding->isMarked && ! $encoding->isUtf8()) {
            $says = $declaration === null ? '' : " Its meta says {$declaration->label}, which nobody can read before the page is decoded.";
            yield $this->finding($page->path(), $page->file, new Span(0, strlen("\u{FEFF}")), "The page is saved as {$encoding->name}.$says Pages have to be UTF-8.", self::REMEDY, 'encoding');
        } elseif ($declaration !== null && $encoding->isContradicted()) {
            yield $this->finding($page->path(), $page->file, $declaration->span, "The page begins with the mark of UTF-8 and says here that it is {$declaration->label}.", 'Type utf-8 here.', 'encoding');
        } elseif ($declaration !== null && ! str_starts_with(self::plain($declaration->label), 'utf8')) {
            yield $this->finding($page->path(), $page->file, $declaration->span, "The page says that it is {$declaration->label}. Pages have to be UTF-8.", 'Save the page as UTF-8, and type <meta charset="utf-8">.', 'encoding');
        } elseif ($unknown !== null) {
            yield $this->finding($page->path(), $page->file, $unknown->valueSpan() ?? $unknown->nameSpan(), "“{$unknown->value}” is the name of no encoding.", 'Type utf-8 here.', 'encoding');
        }
    }

    private function unknownLabel(Page $page): ?Attribute
    {
        foreach ($page->elements as $element) {
            $charset = $element->name === 'meta' ? $element->attribute('charset') : null;
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
