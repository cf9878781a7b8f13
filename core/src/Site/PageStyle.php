<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Attribute;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Style\Syntax\Parser;
use InkedMargin\Core\Style\Syntax\StyleSheet;

/** CSS that stands in a page: in a `style` element, or in a `style` attribute. */
final readonly class PageStyle
{
    /** @param  bool  $isExact  whether places in it are those of the page; not where it has character references */
    private function __construct(
        public Element $element,
        public ?Attribute $attribute,
        public StyleSheet $css,
        private bool $isExact,
    ) {
    }

    /** @return list<self> in document order */
    public static function allOf(Document $document): array
    {
        $found = [];
        foreach ($document->elements() as $element) {
            $tag = $element->startTag();
            if ($tag === null) {
                continue;
            }
            if ($element->name === 'style' && self::isCss($element)) {
                $found[] = self::ofElement($element, $tag, $document);
            }
            $style = $element->attribute('style');
            if ($style !== null) {
                $found[] = self::ofAttribute($element, $style);
            }
        }

        return $found;
    }

    private static function ofElement(Element $element, Span $tag, Document $document): self
    {
        $end = $element->endTagStart() < 0 ? $element->closedAt ?? $tag->end : $element->endTagStart();
        $text = substr($document->source->bytes, $tag->end, max(0, $end - $tag->end));

        return new self($element, null, Parser::sheet($text, $tag->end), true);
    }

    private static function ofAttribute(Element $element, Attribute $style): self
    {
        $span = $style->valueSpan() ?? $style->nameSpan();
        $isExact = strlen($style->value) === $span->length();

        return new self($element, $style, Parser::declarations($style->value, $span->start), $isExact);
    }

    /** HTML Standard, 4.2.6: without a type, or with that of CSS. */
    private static function isCss(Element $element): bool
    {
        return in_array(strtolower($element->value('type') ?? ''), ['', 'text/css'], true)
            && $element->namespace !== NodeNamespace::MathMl;
    }

    /** A place in the CSS as one in the page: the whole attribute where it cannot be told better. */
    public function place(Span $span): Span
    {
        return $this->isExact || $this->attribute === null ? $span : $this->attribute->span();
    }
}
