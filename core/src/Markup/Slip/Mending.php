<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Slip;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\TagPairs;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\Change;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Source\Patch;
use InkedMargin\Core\Source\SourceFile;

/**
 * Reads a page as its author meant it. One slip, such as a quotation mark that is not closed, can make a parser misread
 * the whole page. So slips are looked for where something went wrong, mended in a copy of the text, and the copy is
 * read again. A mend is kept only if less goes wrong with it: then the slip is one finding, and the rest of the page is
 * judged as it was meant.
 */
final readonly class Mending
{
    /** One slip may hide the next. */
    private const MAX_ROUNDS = 12;

    /** So many are tried one by one; past that, all of a round together. */
    private const MAX_TRIED = 8;

    /** Bytes that are read again at most, so that a large page that is all slips costs a few times its size. */
    private const BUDGET = 3_000_000;

    private const LEAST_TRIES = 4;

    private const BROKEN_OFF = [
        'eof-in-comment',
        'eof-in-tag',
        'eof-in-element-that-can-contain-only-text',
        'eof-in-script-html-comment-like-text',
    ];

    /**
     * @param  list<Slip>  $slips  in the order of the text, each in bytes of the text before it was mended
     * @param  int  $trouble  what is still wrong
     */
    private function __construct(
        public Document $document,
        public TagPairs $pairs,
        public array $slips,
        private int $trouble,
    ) {
    }

    /** @throws OverLimit */
    public static function read(SourceFile $file): self
    {
        $current = self::plain(MarkupReader::read($file));
        $tries = max(self::LEAST_TRIES, intdiv(self::BUDGET, strlen($file->bytes) + 1));
        for ($round = 0; $round < self::MAX_ROUNDS && $current->trouble > 0 && $tries > 0; $round++) {
            $slips = SlipFinder::in($current->document, $current->pairs);
            $better = $slips === [] ? null : $current->tryAll($slips, $tries);
            if ($better === null) {
                break;
            }
            $current = $better;
        }

        return $current;
    }

    private static function plain(Document $document): self
    {
        $pairs = TagPairs::of($document, $document->source);

        return new self($document, $pairs, [], Trouble::count($document, $pairs));
    }

    /**
     * @param  non-empty-list<Slip>  $slips
     * @param  int  $tries  how many more may be made
     * @return ?self null when no mend leaves less trouble
     */
    private function tryAll(array $slips, int &$tries): ?self
    {
        if (count($slips) > min(self::MAX_TRIED, $tries)) {
            $tries--;

            return $this->tryTogether($slips);
        }
        // Slips of the first kind that helps: what is found with another slip in the way may be none.
        foreach ($slips as $slip) {
            $tries--;
            $better = $this->tryTogether([$slip]);
            if ($better !== null) {
                return $better;
            }
        }

        return null;
    }

    /**
     * @param  non-empty-list<Slip>  $slips
     */
    private function tryTogether(array $slips): ?self
    {
        $changes = array_merge(...array_map(fn (Slip $slip) => $slip->changes, $slips));
        try {
            $document = MarkupReader::reread(Patch::apply($this->document->source, $changes), $this->document);
        } catch (OverLimit) {
            return null;
        }
        $pairs = TagPairs::of($document, $document->source);
        $left = Trouble::count($document, $pairs);
        if ($left >= $this->trouble && ! self::opensUp($this->document, $document)) {
            return null;
        }
        $all = [...$this->slips, ...array_map(self::asWritten(...), $slips)];
        usort($all, fn (Slip $a, Slip $b) => $a->span->start <=> $b->span->start);

        return new self($document, $pairs, $all, $left);
    }

    /**
     * Whether the page went on to its end inside something that was never closed, and does so no more: more may come to
     * light.
     */
    private static function opensUp(Document $before, Document $after): bool
    {
        return self::breaksOff($before) && ! self::breaksOff($after);
    }

    private static function breaksOff(Document $document): bool
    {
        foreach ($document->errors as $error) {
            if (in_array($error->code, self::BROKEN_OFF, true)) {
                return true;
            }
        }

        return false;
    }

    /** A slip in terms of the text that nothing was changed in. */
    private static function asWritten(Slip $slip): Slip
    {
        $span = $slip->source->asWritten($slip->span);
        $changes = array_map(function (Change $change) use ($slip): Change {
            $at = $slip->source->asWritten($change->span)->span;

            return $change->moved === null
                ? Change::replace($at, $change->text)
                : Change::moveTo($at->start, $slip->source->asWritten($change->moved)->span);
        }, $slip->changes);

        return new Slip($slip->kind, $span->source, $span->span, $changes, $slip->written, $slip->meant, $slip->inside);
    }
}
