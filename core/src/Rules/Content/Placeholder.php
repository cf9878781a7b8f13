<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Content;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/** Text that holds a place: lorem ipsum, “text goes here”. Common practice. */
final readonly class Placeholder extends Rule
{
    private const PLACEHOLDER = '/\blorem ipsum\b|\bdolor sit amet\b|\b(?:text|content|image|picture|heading|title|paragraph|words|name|description|link)s? goe?s? here\b|\b(?:your|some|more|insert|add|put|type|write|enter) (?:your |some |the |a )?(?:own )?(?:text|content|heading|title|paragraph|name|words|description|caption|image|picture) here\b|\[(?:placeholder|your [a-z ]{2,30}|insert [a-z ]{2,30})\]|\bplaceholder text\b|\bblah blah\b/iu';

    public function __construct()
    {
        parent::__construct('content/placeholder', Weight::Departure, ProofMark::Change, 'Placeholder text was not replaced.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            foreach (Walk::nodes($page->document) as $node) {
                if (! $node instanceof Text || $node->parent === null || in_array($node->parent->name, ['script', 'style', 'code', 'pre', 'title'], true) || ! self::mayHold($node->text) || preg_match(self::PLACEHOLDER, $node->text, $match) !== 1) {
                    continue;
                }
                $at = strpos(substr($page->file->bytes, $node->span()->start, $node->span()->length()), $match[0]);
                $span = $at === false ? $node->span() : new Span($node->span()->start + $at, $node->span()->start + $at + strlen($match[0]));
                yield $this->on($node->parent, $page->file, $span, "“{$match[0]}” only holds the place of text.", 'Write the text that belongs here.');
            }
        }
    }

    /** A quick look, as every text of every page is asked: each of the phrases has one of these in it. */
    private static function mayHold(string $text): bool
    {
        foreach (['here', 'lorem', 'dolor', 'placeholder', 'blah', '['] as $sign) {
            if (stripos($text, $sign) !== false) {
                return true;
            }
        }

        return false;
    }
}
