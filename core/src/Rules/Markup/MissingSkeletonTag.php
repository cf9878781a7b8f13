<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Markup;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\Span;

/**
 * A start or end tag of html, head or body was not written. The parser implies it (HTML Standard, 13.1.2.4); beginners
 * learn to write it. A tag that is in the file in the wrong place is not said to be missing. Common practice.
 */
final readonly class MissingSkeletonTag extends Rule
{
    /** What begins a comment, or an element that holds text alone. */
    private const TEXT = '~<!--|<(script|style|title|textarea)\b~i';

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/missing-skeleton-tag',
            'Missing page tag',
            Weight::Departure,
            ProofMark::Insert,
            'A start or end tag of `html`, `head` or `body` is missing.',
            'Browsers add `<html>`, `<head>` and `<body>` where they think that they belong. If they '
                .'guess wrong, content ends up in the wrong part, and nobody can see the parts in your '
                .'code.',
            Citation::html('Optional tags', 'syntax.html#optional-tags'),
            ['markup/misnested', 'markup/stray-end-tag'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        foreach ($exam->site->pages as $page) {
            if (self::hasNone($page)) {
                yield $this->all($page);

                continue;
            }
            foreach (['html', 'head', 'body'] as $name) {
                $element = $page->document->first($name);
                if ($element !== null && ! ($name === 'body' && $page->named('frameset') !== [])) {
                    yield from $this->tags($element, $page);
                }
            }
        }
    }

    /** @return iterable<Draft> */
    private function tags(Element $element, Page $page): iterable
    {
        $name = $element->name;
        $lacksStart = ! $element->isWritten() && ! self::isWritten("<$name", $page);
        $lacksEnd = $element->endTag() === null && ! self::isWritten("</$name", $page);
        $start = self::startPlace($element, $page->document);
        $end = self::endPlace($element, $page);
        if ($lacksStart && $lacksEnd) {
            yield $this->tag('both', $element, $page, $start, "The page has no `<$name>` and `</$name>` "
                .'tags.', self::whereStart($name).', and '.self::whereEnd($name)
                    .'.', $name === 'html' ? null : Mend::of(
                        Edit::insert($page->file, $start, "<$name>\n"),
                        Edit::insert($page->file, $end, "</$name>\n"),
                    ));
        } elseif ($lacksStart) {
            yield $this->tag(
                "$name-start",
                $element,
                $page,
                $start,
                "The page has no `<$name>` tag.",
                self::whereStart($name).'.',
                $name === 'html' ? null : Mend::of(Edit::insert($page->file, $start, "<$name>\n")),
            );
        } elseif ($lacksEnd) {
            yield $this->tag(
                "$name-end",
                $element,
                $page,
                $end,
                "The page has no `</$name>` tag.",
                'Type '.self::whereEnd($name).'.',
                Mend::of(Edit::insert($page->file, $end, "</$name>\n")),
            );
        }
    }

    private static function hasNone(Page $page): bool
    {
        foreach (['<html', '</html', '<head', '</head', '<body', '</body', '<frameset'] as $tag) {
            if (self::isWritten($tag, $page)) {
                return false;
            }
        }

        return true;
    }

    private function all(Page $page): Draft
    {
        $html = $page->document->first('html');

        return Draft::onPage($page, Span::at($html === null ? 0 : self::startPlace($html, $page->document)), 'skeleton')
            ->variant('all')
            ->says('The page has no `<html>`, `<head>` and `<body>` tags. '
                .'Browsers add them for you, but write them yourself.')
            ->remedy('Type `<html lang="en">` and `<head>` after the doctype, `</head>` and `<body>` '
                .'before the content, `</body>` and `</html>` at the end.');
    }

    private function tag(
        string $variant,
        Element $element,
        Page $page,
        int $offset,
        string $message,
        string $remedy,
        ?Mend $mend,
    ): Draft {
        $them = $variant === 'both' ? 'them' : 'it';

        return Draft::onPage($page, Span::at($offset), "{$element->name}:$variant")
            ->variant($variant)
            ->says("$message Browsers add $them for you, but write $them yourself.")
            ->remedy($remedy)
            ->mend($mend)
            ->about(Subject::element($page->path(), $element));
    }

    private static function whereStart(string $name): string
    {
        return match ($name) {
            'html' => 'Type `<html lang="en">` after the doctype, with your own language',
            'head' => 'Type `<head>` after `<html>`',
            default => 'Type `<body>` after `</head>`',
        };
    }

    private static function whereEnd(string $name): string
    {
        return match ($name) {
            'html' => '`</html>` at the very end',
            'head' => '`</head>` before `<body>`',
            default => '`</body>` before `</html>`',
        };
    }

    /** Whether a tag is in the file after all, where a parser ignores it; in comments and text it does not count. */
    private static function isWritten(string $tag, Page $page): bool
    {
        return preg_match('~'.preg_quote($tag, '~').'(?=[\s>/])~i', self::withoutText($page->file->bytes)) === 1;
    }

    /** Without comments and what is text to a parser, where they end. Each end is looked for once. */
    private static function withoutText(string $bytes): string
    {
        $left = '';
        $at = 0;
        $neverEnds = [];
        while (preg_match(self::TEXT, $bytes, $start, PREG_OFFSET_CAPTURE, $at) === 1) {
            [$tag, $from] = $start[0];
            $end = isset($start[1]) ? '</'.strtolower($start[1][0]) : '-->';
            $to = isset($neverEnds[$end]) ? false : stripos($bytes, $end, $from + strlen($tag));
            if ($to === false) {
                $neverEnds[$end] = true;
                $to = $from + strlen($tag);
                $left .= substr($bytes, $at, $to - $at);
            } else {
                $left .= substr($bytes, $at, $from - $at);
                $to += strlen($end);
            }
            $at = $to;
        }

        return $left.substr($bytes, $at);
    }

    /** Where a start tag belongs: before the first thing that would be in the element. */
    private static function startPlace(Element $element, Document $document): int
    {
        foreach ($element->children as $child) {
            $span = $child->span();
            if ($span !== null && trim(substr($document->source->bytes, $span->start, $span->length())) !== '') {
                return $span->start + strspn($document->source->bytes, " \t\r\n", $span->start);
            }
            if ($child instanceof Element && ! $child->isWritten()) {
                return self::startPlace($child, $document);
            }
        }

        return self::startWithoutContent($element->name, $document);
    }

    /** The offset where the start tag of an empty element belongs, in bytes */
    private static function startWithoutContent(string $name, Document $document): int
    {
        if ($name === 'body') {
            return $document->first('head')?->endTag()->end ?? strlen($document->source->bytes);
        }
        foreach ($document->children as $node) {
            if ($node instanceof Doctype) {
                return $node->span()->end;
            }
        }

        return 0;
    }

    /** Where an end tag belongs: before what closes the element around it, or what follows the element. */
    private static function endPlace(Element $element, Page $page): int
    {
        $document = $page->document;
        $bytes = $document->source->bytes;

        return match ($element->name) {
            'head' => $document->first('body')?->startTag()->start ?? self::startPlace(
                $document->first('body') ?? $element,
                $document,
            ),
            'body' => $document->first('html')?->endTag()->start ?? strlen($bytes),
            default => strlen($bytes),
        };
    }
}
