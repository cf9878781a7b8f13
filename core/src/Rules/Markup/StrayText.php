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
use InkedMargin\Core\Finding\Words;
use InkedMargin\Core\Markup\ContentModels as Model;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Slip\Slip;
use InkedMargin\Core\Markup\Slip\SlipKind;
use InkedMargin\Core\Markup\TextNode;
use InkedMargin\Core\Site\Page;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\Span;

/** Text directly in body, outside all the parts of the page, or a stray sign between elements. Common practice. */
final readonly class StrayText extends SlipRule
{
    private const PARTS = ['header', 'nav', 'main', 'footer', 'section', 'article', 'aside', 'div'];

    /** Elements whose children are blocks: a single letter among them slipped in. */
    private const HOLDERS = ['main', 'header', 'footer', 'section', 'article', 'aside', 'div', 'body'];

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'markup/stray-text',
            'Text outside page parts',
            Weight::Departure,
            ProofMark::Move,
            'Text is outside every part of the page, or slipped in between.',
            'Your page is made of parts such as header, main and footer. Text between them belongs to '
                .'none, so it gets none of their styles.',
            Citation::practice(),
            ['markup/unclosed-element', 'markup/parse-error', 'markup/content-model'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from $this->slipFindings($exam);
        foreach ($exam->site->pages as $page) {
            foreach (self::HOLDERS as $name) {
                foreach ($page->named($name) as $holder) {
                    yield from $this->signs($holder, $page);
                }
            }
            yield from $this->outsideParts($page);
        }
    }

    /** @return iterable<Draft> text directly in a body that has parts */
    private function outsideParts(Page $page): iterable
    {
        $body = $page->document->first('body');
        $parts = $body === null
            ? []
            : array_filter($body->elements(), fn (Element $element) => in_array($element->name, self::PARTS, true));
        if ($body === null || count($parts) < 2) {
            return;
        }
        foreach ($body->children as $child) {
            if ($child instanceof TextNode && ! $child->isBlank() && ! self::isSign($child)) {
                yield $this->outside($child, $body, $page);
            }
        }
    }

    protected function wordsFor(Slip $slip): ?Words
    {
        return match ($slip->kind) {
            SlipKind::CodeFence => new Words(
                "`{$slip->written}` is not HTML: it marks code in a chat or a note, and was copied along.",
                'Delete this line, and the closing line of backticks if there is one.',
                'code-fence',
            ),
            SlipKind::TextBeforeDoctype => new Words(
                '“'.English::excerpt($slip->written).'” is before the doctype, so browsers ignore the doctype.',
                'Delete it: `<!DOCTYPE html>` is the first thing on the page.',
                'before-doctype',
            ),
            default => null,
        };
    }

    private function outside(TextNode $text, Element $body, Page $page): Draft
    {
        $span = self::wordsOf($text);

        return Draft::at($page, $body)
            ->span($span)
            ->anchored('#text')
            ->says('“'.English::excerpt($text->text).'” is outside every part of the page.')
            ->remedy('Remove it if it slipped in, or move it into the part that it belongs to.')
            ->about(Subject::place($page->path(), $span->start))
            ->causedBy(Subject::page($page->path()).'#table');
    }

    /** @return iterable<Draft> a `>` or a letter alone between blocks */
    private function signs(Element $holder, Page $page): iterable
    {
        foreach ($holder->children as $index => $child) {
            if (! $child instanceof TextNode || ! self::isSign($child)) {
                continue;
            }
            $before = $holder->children[$index - 1] ?? null;
            $after = $holder->children[$index + 1] ?? null;
            if (! $before instanceof Element && ! $after instanceof Element) {
                continue;
            }
            if (self::isPhrase($before) || self::isPhrase($after)) {
                continue;
            }
            yield self::sign($child, $holder, $page);
        }
    }

    private static function sign(TextNode $text, Element $holder, Page $page): Draft
    {
        $span = self::wordsOf($text);

        return Draft::at($page, $holder)
            ->variant('sign')
            ->mark(ProofMark::TakeOut)
            ->span($span)
            ->anchored('#sign')
            ->says('`'.trim($text->text).'` is between two elements and shows on the page.')
            ->remedy('Remove it.')
            ->mend(Mend::of(Edit::remove($page->file, $span)))
            ->about(Subject::place($page->path(), $span->start))
            ->causedBy(Subject::page($page->path()).'#table');
    }

    private static function isSign(TextNode $text): bool
    {
        $sign = trim($text->text);

        return $sign !== ''
            && strlen($sign) <= 3
            && preg_match('~^(?:[<>/"\'=;,}{\]\[)(\\\\]++|[a-z])$~Di', $sign) === 1;
    }

    private static function isPhrase(mixed $node): bool
    {
        return $node instanceof Element && Model::load()->isPhrasing($node->name);
    }

    private static function wordsOf(TextNode $text): Span
    {
        $start = $text->span()->start + strspn($text->text, " \t\n\f\r");

        return new Span(
            min($start, $text->span()->end),
            min($start + strlen(trim($text->text)), max($start, $text->span()->end)),
        );
    }
}
