<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\MarkupError;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Source\Change;

/** Content of the body that was written into the head, and ends it for a parser. */
final readonly class HeadSlips
{
    private const HEAD = ['title', 'meta', 'link', 'style', 'script', 'base', 'noscript', 'template'];

    /** @return list<Slip> */
    public static function in(Document $document, TagPairs $pairs): array
    {
        $second = array_values(
            array_filter($document->errors, fn (MarkupError $error) => $error->code === 'misplaced-body-start-tag'),
        )[0] ?? null;
        $headEnd = array_search('head', $pairs->stray, true);
        $body = $document->first('body');
        if ($second === null || $headEnd === false || $body === null || $body->isWritten()) {
            return [];
        }
        $bodyTag = strpos($document->source->bytes, '>', $second->offset);
        if ($bodyTag === false) {
            return [];
        }
        $changes = [];
        foreach ($body->elements() as $element) {
            $span = $element->span();
            if ($span === null || $span->start >= $headEnd || in_array($element->name, self::HEAD, true)) {
                continue;
            }
            $changes[] = Change::remove($span);
            $changes[] = Change::moveTo($bodyTag + 1, $span);
            $first ??= $element;
        }

        return $changes === [] || ! isset($first)
            ? []
            : [new Slip(
                SlipKind::BodyContentInHead,
                $document->source,
                $first->place(),
                $changes,
                "<{$first->name}>",
                '',
                $first->name,
            )];
    }
}
