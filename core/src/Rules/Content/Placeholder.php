<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/** Text that holds a place: lorem ipsum, “text goes here”. Prose about such text is none. Common practice. */
final readonly class Placeholder extends Rule
{
    private const LATIN = '\blorem ipsum dolor\b|\bdolor sit amet\b|^\s*lorem ipsum\b';

    private const HERE = '(?:^\s*(?:some|more)|\b(?:your|insert|add|put|type|write|enter)) (?:your |some |the |a )?(?:own )?(?:text|content|heading|title|paragraph|name|words|description|caption|image|picture)s? here\b';

    private const GOES = '^\s*(?:(?:your|the|some|a|main|more) )?(?:[a-z]+ )?(?:text|content|image|picture|heading|title|paragraph|words|name|description|link)s? goe?s? here\b';

    private const BRACKETS = '\[(?:placeholder|your [a-z ]{2,30}|insert [a-z ]{2,30})\]|^\s*(?:placeholder(?: text)?|blah blah(?: blah)*)\W*$';

    private const SIGNS = ['lorem', 'dolor', ' here', 'placeholder', 'blah', '[your', '[insert'];

    private const NOT_PROSE = ['script', 'style', 'code', 'pre', 'title', 'kbd', 'samp', 'q', 'textarea'];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'content/placeholder',
            'Placeholder text',
            Weight::Departure,
            ProofMark::Change,
            'Placeholder text was not replaced.',
            'Placeholder text says nothing to readers. It tells them that the page is not finished.',
            Citation::practice(),
            ['content/starter-unchanged'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            if (self::mayHold($page->file->bytes)) {
                yield from $this->onPage($page);
            }
        }
    }

    /** @return iterable<Draft> */
    private function onPage(Page $page): iterable
    {
        $pattern = '/'.implode('|', [self::LATIN, self::HERE, self::GOES, self::BRACKETS]).'/iu';
        foreach (Walk::nodes($page->document) as $node) {
            if (! $node instanceof TextNode || $node->parent === null || in_array(
                $node->parent->name,
                self::NOT_PROSE,
                true,
            )) {
                continue;
            }
            // Behind an element the text goes on in the middle of a sentence.
            $text = ($node->parent->children[0] ?? $node) === $node ? $node->text : "…{$node->text}";
            if (
                ! self::mayHold($text)
                || preg_match($pattern, $text, $match) !== 1
                || self::isProseAboutIt($text, $match[0])
            ) {
                continue;
            }
            yield self::draft($page, $node, $node->parent, ltrim($match[0]));
        }
    }

    private static function draft(Page $page, TextNode $text, Element $around, string $words): Draft
    {
        $start = $text->span()->start;
        $at = strpos(substr($page->file->bytes, $start, $text->span()->length()), $words);

        return Draft::at($page, $around)
            ->span($at === false ? $text->span() : new Span($start + $at, $start + $at + strlen($words)))
            ->says("“{$words}” is placeholder text.")
            ->remedy('Write the text that belongs here.')
            ->folded('placeholder');
    }

    /** A sentence that quotes or explains the words, such as one that says who invented them. */
    private static function isProseAboutIt(string $text, string $match): bool
    {
        $at = stripos($text, trim($match));
        $before = $at === false ? '' : substr($text, 0, $at);
        $isQuoted = preg_match('/["“‘«\'(]\s*$/u', $before) === 1;

        return $isQuoted
            || preg_match(
                '/\b(?:called|word|words|phrase|text|says|said|about|like|such as|known as|with|of|the)\s*$/i',
                $before,
            ) === 1;
    }

    /** A quick look, as every text of every page is asked: each of the phrases has one of these in it. */
    private static function mayHold(string $text): bool
    {
        foreach (self::SIGNS as $sign) {
            if (stripos($text, $sign) !== false) {
                return true;
            }
        }

        return false;
    }
}
