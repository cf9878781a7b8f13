<?php

declare(strict_types=1);

namespace InkedMargin\Core\Source;

/** Words and sentences of a text. */
final class Prose
{
    /**
     * Letters and digits with what joins them: `don’t`, `well-kept`, `3.5`.
     *
     * @return list<string>
     */
    public static function words(string $text): array
    {
        preg_match_all('/[\p{L}\p{N}\p{M}]+(?:[\x{2019}\'.,\x{2011}-][\p{L}\p{N}\p{M}]+)*/u', $text, $words);

        return $words[0];
    }

    /**
     * Sentences, as Unicode Standard Annex 29, section 5, ends them, and not after the usual abbreviations; what stands
     * in a line of its own ends there.
     *
     * @return list<string>
     */
    public static function sentences(string $text): array
    {
        $iterator = \IntlBreakIterator::createSentenceInstance('en@ss=standard');
        $sentences = [];
        foreach (explode("\n", $text) as $line) {
            $iterator?->setText($line);
            foreach ($iterator?->getPartsIterator() ?? [$line] as $part) {
                if (is_string($part) && self::words($part) !== []) {
                    $sentences[] = trim($part);
                }
            }
        }

        return $sentences;
    }
}
