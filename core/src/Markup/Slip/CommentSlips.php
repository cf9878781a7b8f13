<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\MarkupError;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\Span;

/** Comments that are not begun or not closed as comments are. */
final readonly class CommentSlips
{
    private const CODES = [
        'eof-in-comment',
        'nested-comment',
        'incorrectly-opened-comment',
        'incorrectly-closed-comment',
        'invalid-first-character-of-tag-name',
        'abrupt-closing-of-empty-comment',
    ];

    /** @return list<Slip> */
    public static function in(Document $document): array
    {
        $codes = array_map(fn (MarkupError $error) => $error->code, $document->errors);

        return array_intersect(self::CODES, $codes) === []
            ? []
            : [...self::starts($document), ...self::ends($document)];
    }

    /** @return list<Slip> `<!- note -->`, `<! -- note -->`, `<-- note -->` */
    private static function starts(Document $document): array
    {
        $source = $document->source;
        preg_match_all('/<(?:!\s+--|!-(?!-)|--)(?=[^<>]*-->)/', $source->bytes, $found, PREG_OFFSET_CAPTURE);
        $slips = [];
        foreach ($found[0] as [$written, $at]) {
            $span = new Span($at, $at + strlen($written));
            $slips[] = new Slip(
                SlipKind::CommentStart,
                $source,
                $span,
                [Change::replace($span, '<!--')],
                $written,
                '<!--',
            );
        }

        return $slips;
    }

    /** @return list<Slip> */
    private static function ends(Document $document): array
    {
        $source = $document->source;
        $bytes = $source->bytes;
        $slips = [];
        for ($at = strpos($bytes, '<!--'); $at !== false; $at = strpos($bytes, '<!--', $next)) {
            $close = strpos($bytes, '-->', $at + 4);
            $next = $close === false ? strlen($bytes) : $close + 3;
            $text = substr($bytes, $at + 4, ($close === false ? strlen($bytes) : $close) - $at - 4);
            if ($close !== false && ! str_contains($text, '<!--')) {
                continue;
            }
            $slip = self::wrongEnd($document, $at, $text) ?? self::noEnd($document, $at, $text);
            $slips[] = $slip;
            // What stands in the comment by this slip alone is looked at again when it is mended.
            break;
        }

        return $slips;
    }

    /** `-- >`, `->` or `--!>` where the comment was to end. */
    private static function wrongEnd(Document $document, int $at, string $text): ?Slip
    {
        if (preg_match('/^[^<]*?(--+\s+>|(?<!-)->|--!>|—>|–>)/u', $text, $end, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        $start = $at + 4 + $end[1][1];
        $span = new Span($start, $start + strlen($end[1][0]));

        return new Slip(
            SlipKind::CommentEnd,
            $document->source,
            $span,
            [Change::replace($span, '-->')],
            $end[1][0],
            '-->',
        );
    }

    private static function noEnd(Document $document, int $at, string $text): Slip
    {
        // The comment was to end on its line, or before the tag that follows on it.
        $length = strcspn($text, "\r\n");
        if (preg_match('~<(?:[a-z/]|!--)~i', substr($text, 0, $length), $tag, PREG_OFFSET_CAPTURE) === 1) {
            $length = $tag[0][1];
        }
        $end = $at + 4 + strlen(rtrim(substr($text, 0, $length)));

        return new Slip(
            SlipKind::UnclosedComment,
            $document->source,
            new Span($at, $at + 4),
            [Change::insert($end, ' -->')],
            '<!--',
            '-->',
        );
    }
}
