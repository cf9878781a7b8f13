<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Parser;

/** What takes the tokens, as they come. Offsets are bytes in the source. */
interface TokenSink
{
    public function startTag(Tag $tag): void;

    public function endTag(Tag $tag): void;

    /**
     * The commonest end tag, without a token: that of the element opened last. False, and nothing done, for any other.
     */
    public function closesCurrent(string $name, int $start, int $end): bool;

    /** @param  string  $text never empty, with character references read and newlines normalised */
    public function characters(string $text, int $start, int $end): void;

    public function nullCharacter(int $offset): void;

    public function comment(string $text, int $start, int $end): void;

    public function doctype(DoctypeToken $doctype): void;

    public function endOfFile(int $offset): void;

    /** Whether the adjusted current node is not an HTML element, so that CDATA sections are allowed (13.2.5.42). */
    public function allowsCdata(): bool;
}
