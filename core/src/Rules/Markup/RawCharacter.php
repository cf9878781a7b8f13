<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\Kind\Markup as MarkupRequirement;
use InkedMargin\Core\Markup\CharacterNames;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Markup\Walk;
use InkedMargin\Core\Rules\Finding;
use InkedMargin\Core\Rules\ProofMark;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Rules\Weight;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Site\SiteReading;
use InkedMargin\Core\Source\Span;

/**
 * An ampersand that looks like the beginning of a character reference and is none (HTML Standard, 13.1.4, "ambiguous ampersand"),
 * or a character that the brief wants as a reference.
 */
final readonly class RawCharacter extends Rule
{
    public function __construct()
    {
        parent::__construct('markup/raw-character', Weight::Tidy, ProofMark::Change, 'An ampersand looks like a character reference and is none, or a character is typed that the brief wants as a reference.');
    }

    public function look(SiteReading $reading, Brief $brief): iterable
    {
        foreach ($reading->pages as $page) {
            yield from $this->wanted($page, $brief);
            foreach ($page->document->errors as $error) {
                if ($error->code !== 'unknown-named-character-reference') {
                    continue;
                }
                $start = (int) strrpos($page->file->bytes, '&', $error->offset - strlen($page->file->bytes));
                $name = $page->file->excerpt(new Span($start, $error->offset + 1));
                yield $this->finding(
                    $page->path(),
                    $page->file,
                    new Span($start, $error->offset + 1),
                    "There is no character reference {$name}; it is shown as it stands.",
                    'Look at its spelling, or type &amp; for the sign itself.',
                    $name,
                );
            }
        }
    }

    /** @return iterable<Finding> characters of the text that the brief wants as references */
    private function wanted(Page $page, Brief $brief): iterable
    {
        foreach ($brief->ofKind(MarkupRequirement::class) as $requirement) {
            if ($requirement->references === [] || ! $requirement->terms->pages->covers($page->path())) {
                continue;
            }
            // An ampersand that begins a reference is what the brief wants.
            $pattern = '~'.implode('|', array_map(fn (string $character) => preg_quote($character, '~').($character === '&' ? '(?!#?\w+;)' : ''), $requirement->references)).'~';
            foreach (Walk::nodes($page->document) as $node) {
                if (! $node instanceof Text || in_array($node->parent?->name, ['script', 'style'], true)) {
                    continue;
                }
                $written = substr($page->file->bytes, $node->span()->start, $node->span()->length());
                preg_match_all($pattern, $written, $matches, PREG_OFFSET_CAPTURE);
                foreach ($matches[0] as [$character, $at]) {
                    $start = $node->span()->start + $at;
                    yield $this->finding(
                        $page->path(),
                        $page->file,
                        new Span($start, $start + strlen($character)),
                        "“{$character}” is typed as it is; the brief asks for a character reference.",
                        'Type '.CharacterNames::reference($character).' in its place.',
                        'raw:'.$character,
                        for: $requirement,
                    );
                }
            }
        }
    }
}
