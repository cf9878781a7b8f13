<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\MarkupError;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/**
 * A sign that is missing or doubled in a tag or comment, or a parse error of the standard (HTML Standard, 13.2.2) that
 * no other rule explains. Of several in one line only the first is reported: the others mostly follow from it.
 */
final readonly class ParseError extends SlipRule
{
    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/parse-error',
            'HTML syntax error',
            Weight::Fault,
            ProofMark::Change,
            'A sign is missing or doubled in a tag or comment, or something is written where the standard does not '
            .'allow it.',
            'The browser cannot read the code as you wrote it, so it guesses what you mean. It may '
                .'look right by luck and break with your next change.',
            Citation::html('Parse errors', 'parsing.html#parse-errors'),
            [
                'markup/misnested',
                'markup/unclosed-element',
                'markup/stray-end-tag',
                'markup/content-model',
                'markup/missing-doctype',
                'markup/missing-skeleton-tag',
            ],
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->slipFindings($exam);
        /** @var array<string, array{string, string}> $words */
        $words = require __DIR__.'/../../../data/parse-errors.php';
        foreach ($exam->site->pages as $page) {
            yield from $this->standardErrors($page, $words);
        }
    }

    /**
     * @param  array<string, array{string, string}>  $words
     * @return iterable<Draft>
     */
    private function standardErrors(Page $page, array $words): iterable
    {
        $lines = [];
        foreach ($page->document->errors as $error) {
            if (! isset($words[$error->code])) {
                continue;
            }
            $line = $page->file->position($error->offset)->line;
            if (isset($lines[$line])) {
                continue;
            }
            $lines[$line] = true;
            yield self::standardError($error, $page, ...$words[$error->code]);
        }
    }

    private static function standardError(MarkupError $error, Page $page, string $message, string $remedy): Draft
    {
        return Draft::onPage(
            $page,
            new Span($error->offset, min($error->offset + 1, strlen($page->file->bytes))),
            $error->code,
        )
            ->variant('standard')
            ->says("$message ({$error->code})")
            ->remedy($remedy)
            ->about(Subject::place($page->path(), $error->offset))
            ->causedBy(Subject::place($page->path(), $error->offset))
            ->folded($error->code);
    }

    protected function wordsFor(Slip $slip): ?Words
    {
        $written = English::excerpt($slip->written, 60);
        $words = match ($slip->kind) {
            SlipKind::UnclosedComment => [
                'This comment is never closed, so everything after it is inside the comment.',
                'Type `-->` where the comment ends.',
            ],
            SlipKind::CommentStart => ["`$written` does not start a comment.", 'Type `<!--`.'],
            SlipKind::CommentEnd => ["`$written` does not end a comment.", 'Type `-->`.'],
            SlipKind::MissingBracket => [
                "The `>` at the end of this `{$slip->inside}` tag is missing.",
                'Type `>` at the end of the tag.',
            ],
            SlipKind::MissingEquals => [
                "The `=` is missing between `{$slip->meant}` and its value.",
                "Type `{$slip->meant}=` before the quotation mark.",
            ],
            SlipKind::ColonForEquals => [
                "There is a `:` between `{$slip->meant}` and its value, where HTML has `=`.",
                "Type `{$slip->meant}=\"…\"`.",
            ],
            SlipKind::MissingQuote => [
                "The value of `{$slip->inside}` has only one quotation mark.",
                'Put `"` before and after the value: `'.$slip->inside.'="…"`.',
            ],
            SlipKind::SurplusQuote => [
                "There is a quotation mark too many in this `<{$slip->inside}>` tag.",
                'Remove it: each value has one before and one after it.',
            ],
            SlipKind::CurlyQuotes => [
                "The quotation marks around the value of `{$slip->inside}` are curly, so browsers take them for part "
                    .'of the value.',
                "Type straight quotation marks: `{$slip->inside}={$slip->meant}`.",
            ],
            SlipKind::SpaceInTag => [
                "`$written` is not a tag, because there is a space after the bracket.",
                "Type `{$slip->meant}`.",
            ],
            SlipKind::Backslash => ["`$written` has a backslash, so it is not an end tag.", "Type `{$slip->meant}`."],
            default => null,
        };

        return $words === null ? null : new Words($words[0], $words[1], $slip->kind->value);
    }
}
