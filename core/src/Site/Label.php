<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\Walk;

/** What a link says: its words, with the alt text of the pictures in it. */
final readonly class Label
{
    private const HOME_NAMES = [
        'home', 'homepage', 'start page', 'main page', 'front page', 'back home', 'back to home', 'go home',
        'return home',
    ];

    /** So much of a link is read: one with more in it has no label. */
    private const MAX_NODES = 300;

    /** White space collapsed; '' when it says nothing. */
    public static function of(Element $element): string
    {
        $said = trim($element->value('aria-label') ?? '');
        if ($said !== '') {
            return $said;
        }
        $text = self::plainText($element);
        if ($text !== null) {
            return self::collapsed($text);
        }

        return self::collapsed(self::textIn($element));
    }

    /** The words inside an element, and the alt texts of its pictures */
    private static function textIn(Element $element): string
    {
        $text = '';
        $seen = 0;
        foreach (Walk::nodes($element) as $node) {
            if (++$seen > self::MAX_NODES) {
                break;
            }
            if ($node instanceof TextNode) {
                $text .= $node->text;
            } elseif ($node instanceof Element && $node->attribute('alt') !== null) {
                $text .= ' '.$node->value('alt').' ';
            }
        }

        return $text;
    }

    /** The text of an element that has nothing else in it, as most links; null for the others. */
    private static function plainText(Element $element): ?string
    {
        $only = $element->children[0] ?? null;

        return count($element->children) === 1 && $only instanceof TextNode ? $only->text : null;
    }

    private static function collapsed(string $text): string
    {
        return trim(preg_replace('/[ \t\n\f\r\x{A0}]+/u', ' ', $text) ?? '');
    }

    /** For comparing labels: small letters, no punctuation or arrows, no article before it and no "page" after it. */
    public static function plain(string $label): string
    {
        $plain = trim(preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($label)) ?? '');

        return preg_replace('/^(?:the|my|our) (?=.)|(?<=.) page$/u', '', $plain) ?? $plain;
    }

    /** Whether a label has some words in it, whole ones and in their order. */
    public static function says(string $label, string $words): bool
    {
        return str_contains(' '.self::plain($label).' ', ' '.self::plain($words).' ');
    }

    /** Whether two plain texts have a word in common, a plural or not. Words of one or two letters do not count. */
    public static function shareWord(string $one, string $other): bool
    {
        return array_intersect_key(self::stems($one), self::stems($other)) !== [];
    }

    /** Whether every word of a plain text is among those of another. */
    public static function isAmong(string $words, string $all): bool
    {
        $stems = self::stems($words);

        return $stems !== [] && array_diff_key($stems, self::stems($all)) === [];
    }

    /** @return array<string, true> */
    private static function stems(string $plain): array
    {
        $stems = [];
        foreach (preg_split('/[^\p{L}\p{N}]+/u', $plain, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            // Scripts without spaces have words of one sign.
            if (mb_strlen($word) > 2 || preg_match('/[^\x00-\x{24F}]/u', $word) === 1) {
                $stems['word '.self::stem($word)] = true;
            }
        }

        return $stems;
    }

    /**
     * What tides and tide, galleries and gallery, walking and walks have in common. At least three letters; from
     * memory.
     */
    private static function stem(string $word): string
    {
        $one = preg_replace('/(?<=\p{L}{2}[^s])s$/u', '', $word) ?? $word;

        return preg_replace('/(?<=\p{L}{3})(?:ie|ing|ed|e|y)$/u', '', $one) ?? $one;
    }

    /**
     * @return list<string> what a page may be called by its path: its file name, or the words for a home page; in plain
     *     form
     */
    public static function ofPath(string $path): array
    {
        if ($path === Site::HOME) {
            return self::HOME_NAMES;
        }
        $stem = pathinfo($path, PATHINFO_FILENAME);
        $name = self::plain($stem === 'index' ? basename(dirname($path)) : $stem);

        return $name === '' || ctype_digit($name) ? [] : [$name];
    }
}
