<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\Span;

/** A title, style, script or textarea whose end tag is missing or misspelt, and which swallows the page. */
final readonly class RawTextSlips
{
    private const NAMES = ['title', 'style', 'script', 'textarea'];

    /** @return list<Slip> */
    public static function in(Document $document): array
    {
        foreach ($document->elements() as $element) {
            if (in_array($element->name, self::NAMES, true) && $element->isWritten() && $element->endTag() === null) {
                return [self::slip($document, $element)];
            }
        }

        return [];
    }

    private static function slip(Document $document, Element $element): Slip
    {
        $source = $document->source;
        $from = $element->place()->end;
        $text = substr($source->bytes, $from);
        $name = $element->name;
        $endTag = "</$name>";
        if (preg_match('~^[^<]*(<\s*(/?)\s*([a-z]+)\s*>?)~i', $text, $tag, PREG_OFFSET_CAPTURE) === 1) {
            $written = strtolower($tag[3][0]);
            $span = new Span($from + $tag[1][1], $from + $tag[1][1] + strlen($tag[1][0]));
            $kind = match (true) {
                $written === $name && $tag[2][0] === '' => SlipKind::MissingSlash,
                $tag[2][0] === '/' && NearestName::distance($written, $name, 2) <= 2 => SlipKind::MisspeltEndTag,
                default => null,
            };
            if ($kind !== null) {
                $mend = [Change::replace($span, $endTag)];

                return new Slip($kind, $source, $span, $mend, $tag[1][0], $endTag, $name);
            }
        }
        $end = match ($name) {
            // What follows on its own line is no part of a script or style.
            'style', 'script' => preg_match('~^\s*<[/!a-z]~im', $text, $tag, PREG_OFFSET_CAPTURE) === 1
                ? $tag[0][1]
                : strlen($text),
            default => strcspn($text, "<\r\n"),
        };
        $at = $from + strlen(rtrim(substr($text, 0, $end)));

        return new Slip(
            SlipKind::UnclosedRawText,
            $source,
            $element->place(),
            [Change::insert($at, $endTag)],
            "<$name>",
            $endTag,
            $name,
        );
    }
}
