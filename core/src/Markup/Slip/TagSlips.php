<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Markup\MarkupError;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\Span;

/** Slips inside a tag: brackets, quotation marks, equals signs and spaces. */
final readonly class TagSlips
{
    private const CODES = [
        'unexpected-character-in-attribute-name', 'unexpected-character-in-unquoted-attribute-value',
        'missing-whitespace-between-attributes',
        'unexpected-equals-sign-before-attribute-name', 'eof-in-tag', 'end-tag-with-attributes',
        'unexpected-solidus-in-tag',
        'invalid-first-character-of-tag-name', 'missing-attribute-value', 'duplicate-attribute',
    ];

    /** @return list<Slip> */
    public static function in(Document $document): array
    {
        $codes = array_map(fn (MarkupError $error) => $error->code, $document->errors);
        $mayHaveSlips = array_intersect(self::CODES, $codes) !== []
            || self::hasSuspiciousText($document->source->bytes);
        if (! $mayHaveSlips) {
            return [];
        }

        return [...self::misbegun($document), ...(new TagReader($document->source))->slips()];
    }

    /** Curly quotation marks, a tag in a value, or a `<` in the name of a tag make no parse error. */
    private static function hasSuspiciousText(string $bytes): bool
    {
        return preg_match('/=\s*(?:\xE2\x80[\x98-\x9F])|<\/?[a-z][a-z0-9]*<|="[^"<>]*[<>]/i', $bytes) === 1;
    }

    /** @return list<Slip> `< h2>`, `</ h2>`, `<\h2>` */
    private static function misbegun(Document $document): array
    {
        $source = $document->source;
        preg_match_all(
            '~<(\s*)([/\\\\]?)(\s*)([a-z][a-z0-9]*)\s*(?=[>\s])~i',
            $source->bytes,
            $tags,
            PREG_OFFSET_CAPTURE | PREG_SET_ORDER,
        );
        $slips = [];
        foreach ($tags as $tag) {
            $name = $tag[4][0];
            $isRight = $tag[1][0] === '' && $tag[2][0] !== '\\' && $tag[3][0] === '';
            // In running text "x < b" is no tag: a tag with a space in it ends at once.
            $end = $tag[0][1] + strlen($tag[0][0]);
            if ($isRight || ! ElementTable::load()->knows(strtolower($name)) || ($source->bytes[$end] ?? '') !== '>') {
                continue;
            }
            $slash = $tag[2][0] === '' ? '' : '/';
            $span = new Span($tag[0][1], $end + 1);
            $meant = "<$slash$name>";
            $kind = $tag[2][0] === '\\' ? SlipKind::Backslash : SlipKind::SpaceInTag;
            $slips[] = new Slip(
                $kind,
                $source,
                $span,
                [Change::replace($span, $meant)],
                $tag[0][0].'>',
                $meant,
                strtolower($name),
            );
        }

        return $slips;
    }
}
