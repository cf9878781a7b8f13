<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Parser;

use InkedMargin\Core\Markup\Closing;
use InkedMargin\Core\Markup\Comment;
use InkedMargin\Core\Markup\Doctype;
use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\Element;
use InkedMargin\Core\Markup\Mode;
use InkedMargin\Core\Markup\Node;
use InkedMargin\Core\Markup\NodeNamespace;
use InkedMargin\Core\Markup\Text;
use InkedMargin\Core\Source\Span;

/**
 * Tree construction of the HTML Standard, 13.2.6, scripting off: three methods for each insertion mode (start tag, end
 * tag, and what it does with text), under the standard's names.
 *
 * Every element knows the tags that were written for it, and where and by what it was closed. A template's children are
 * its contents. Parse errors have the codes of parse5 where it has one, and otherwise one of ours, in the standard's
 * manner.
 */
final class TreeBuilder implements TokenSink
{
    private const SPECIAL = [
        'address' => 1, 'applet' => 1, 'area' => 1, 'article' => 1, 'aside' => 1, 'base' => 1, 'basefont' => 1,
        'bgsound' => 1, 'blockquote' => 1, 'body' => 1, 'br' => 1, 'button' => 1, 'caption' => 1, 'center' => 1,
        'col' => 1, 'colgroup' => 1, 'dd' => 1, 'details' => 1, 'dir' => 1, 'div' => 1, 'dl' => 1, 'dt' => 1,
        'embed' => 1, 'fieldset' => 1, 'figcaption' => 1, 'figure' => 1, 'footer' => 1, 'form' => 1, 'frame' => 1,
        'frameset' => 1, 'h1' => 1, 'h2' => 1, 'h3' => 1, 'h4' => 1, 'h5' => 1, 'h6' => 1, 'head' => 1, 'header' => 1,
        'hgroup' => 1, 'hr' => 1, 'html' => 1, 'iframe' => 1, 'img' => 1, 'input' => 1, 'keygen' => 1, 'li' => 1,
        'link' => 1, 'listing' => 1, 'main' => 1, 'marquee' => 1, 'menu' => 1, 'meta' => 1, 'nav' => 1, 'noembed' => 1,
        'noframes' => 1, 'noscript' => 1, 'object' => 1, 'ol' => 1, 'p' => 1, 'param' => 1, 'plaintext' => 1,
        'pre' => 1, 'script' => 1, 'search' => 1, 'section' => 1, 'select' => 1, 'source' => 1, 'style' => 1,
        'summary' => 1, 'table' => 1, 'tbody' => 1, 'td' => 1, 'template' => 1, 'textarea' => 1, 'tfoot' => 1,
        'th' => 1, 'thead' => 1, 'title' => 1, 'tr' => 1, 'track' => 1, 'ul' => 1, 'wbr' => 1, 'xmp' => 1,
    ];

    private const MAY_STAY_OPEN = [
        'dd' => 1, 'dt' => 1, 'li' => 1, 'optgroup' => 1, 'option' => 1, 'p' => 1, 'rb' => 1, 'rp' => 1, 'rt' => 1,
        'rtc' => 1, 'tbody' => 1, 'td' => 1, 'tfoot' => 1, 'th' => 1, 'thead' => 1, 'tr' => 1, 'body' => 1, 'html' => 1,
    ];

    private const WHITE = " \t\n\f\r";

    /**
     * Elements that an end tag of their name simply closes when nothing is open inside them: all the steps of
     * 13.2.6.4.7 come to that.
     */
    private const PLAIN = [
        'p' => 1, 'div' => 1, 'span' => 1, 'li' => 1, 'dd' => 1, 'dt' => 1, 'ul' => 1, 'ol' => 1, 'dl' => 1, 'h1' => 1,
        'h2' => 1, 'h3' => 1, 'h4' => 1, 'h5' => 1, 'h6' => 1, 'section' => 1, 'article' => 1, 'header' => 1,
        'footer' => 1, 'nav' => 1, 'main' => 1, 'aside' => 1, 'pre' => 1, 'blockquote' => 1, 'figure' => 1,
        'figcaption' => 1, 'address' => 1, 'fieldset' => 1, 'details' => 1, 'summary' => 1, 'button' => 1, 'label' => 1,
        'q' => 1, 'cite' => 1, 'dfn' => 1, 'abbr' => 1, 'kbd' => 1, 'samp' => 1, 'var' => 1, 'sub' => 1, 'sup' => 1,
        'time' => 1, 'mark' => 1,
    ];

    private Tokenizer $tokenizer;

    private string $mode = 'initial';

    private string $originalMode = '';

    /** @var list<string> */
    private array $templateModes = [];

    private OpenElements $open;

    private FormattingElements $formatting;

    private ?Element $head = null;

    private ?Element $form = null;

    private bool $framesetOk = true;

    private bool $fosterParenting = false;

    private bool $skipNewline = false;

    /** @var list<array{string, int, int}> */
    private array $pendingTableText = [];

    /** Where the token that is being seen to starts. */
    private int $offset = 0;

    public function __construct(private readonly Errors $errors, public readonly Document $document)
    {
        $this->open = new OpenElements;
        $this->formatting = new FormattingElements;
    }

    public function attach(Tokenizer $tokenizer): void
    {
        $this->tokenizer = $tokenizer;
    }

    /**
     * Lets go of the tokenizer, which holds on to the builder: as a ring they would keep the page until the garbage
     * collector comes.
     */
    public function release(): void
    {
        unset($this->tokenizer);
    }

    // 13.2.6: the tree construction dispatcher

    public function startTag(Tag $tag): void
    {
        $this->offset = $tag->start;
        $this->skipNewline = false;
        $current = $this->open->current;
        if ($current === null || $current->namespace === NodeNamespace::Html || $this->isHtmlFor($current, $tag)) {
            $this->mode === 'inBody' ? $this->startTagInBody($tag) : $this->startTagIn($this->mode, $tag);
        } else {
            $this->startTagInForeign($tag, $current);
        }
        if ($tag->selfClosing && ! $tag->acknowledged) {
            $this->errors->add('non-void-html-element-start-tag-with-trailing-solidus', $tag->start);
        }
    }

    public function endTag(Tag $tag): void
    {
        $this->offset = $tag->start;
        $this->skipNewline = false;
        $current = $this->open->current;
        if ($current === null || $current->namespace === NodeNamespace::Html) {
            $this->mode === 'inBody' ? $this->endTagInBody($tag) : $this->endTagIn($this->mode, $tag);
        } else {
            $this->endTagInForeign($tag, $current);
        }
    }

    public function closesCurrent(string $name, int $start, int $end): bool
    {
        $current = $this->open->current;
        if ($this->mode !== 'inBody' || ! isset(self::PLAIN[$name]) || $current === null || $current->name !== $name
            || $current->namespace !== NodeNamespace::Html) {
            return false;
        }
        $this->offset = $start;
        $this->skipNewline = false;
        $this->open->pop($start, Closing::EndTag)->writeEndTag($start, $end);

        return true;
    }

    public function characters(string $text, int $start, int $end): void
    {
        $this->offset = $start;
        if ($this->skipNewline) {
            $this->skipNewline = false;
            if ($text[0] === "\n") {
                $text = substr($text, 1);
                $start++;
                if ($text === '') {
                    return;
                }
            }
        }
        $current = $this->open->current;
        if (
            $this->mode === 'inBody'
            && $current !== null
            && $current->namespace === NodeNamespace::Html
            && $this->formatting->lastIsOpen()
        ) {
            $this->insertText($text, $start, $end);
            $this->framesetOk = $this->framesetOk && strspn($text, self::WHITE) === strlen($text);

            return;
        }
        if (
            $current === null
            || $current->namespace === NodeNamespace::Html
            || Foreign::isMathMlTextIntegrationPoint($current)
            || Foreign::isHtmlIntegrationPoint($current)
        ) {
            $this->charactersIn($this->mode, $text, $start, $end);

            return;
        }
        $this->insertText($text, $start, $end);
        if (strspn($text, self::WHITE) < strlen($text)) {
            $this->framesetOk = false;
        }
    }

    public function nullCharacter(int $offset): void
    {
        $this->offset = $offset;
        $this->skipNewline = false;
        $current = $this->open->current;
        if (
            $current !== null
            && $current->namespace !== NodeNamespace::Html
            && ! Foreign::isMathMlTextIntegrationPoint($current)
            && ! Foreign::isHtmlIntegrationPoint($current)
        ) {
            $this->insertText("\u{FFFD}", $offset, $offset + 1);

            return;
        }
        // In the modes that are about text of the body, a NUL is dropped; in the others it is like any other character.
        if (! in_array(
            $this->mode,
            [
                'inBody', 'inTable', 'inTableBody', 'inRow', 'inTableText', 'inCell', 'inCaption', 'inSelect',
                'inSelectInTable', 'inTemplate', 'text',
            ],
            true,
        )) {
            $this->charactersIn($this->mode, "\0", $offset, $offset + 1);
        }
    }

    public function comment(string $text, int $start, int $end): void
    {
        $this->offset = $start;
        $this->skipNewline = false;
        $comment = new Comment($text, new Span($start, $end));
        $current = $this->open->current;
        if ($current !== null && $current->namespace !== NodeNamespace::Html) {
            $this->insert($comment);

            return;
        }
        switch ($this->mode) {
            case 'initial':
            case 'beforeHtml':
            case 'afterAfterBody':
            case 'afterAfterFrameset':
                $this->document->append($comment);
                break;
            case 'afterBody':
                $this->open->at(0)->append($comment);
                break;
            case 'inTableText':
                $this->flushTableText();
                $this->mode = $this->originalMode;
                $this->comment($text, $start, $end);
                break;
            default:
                $this->insert($comment);
        }
    }

    public function doctype(DoctypeToken $doctype): void
    {
        $this->offset = $doctype->start;
        $this->skipNewline = false;
        if ($this->mode === 'inTableText') {
            $this->flushTableText();
            $this->mode = $this->originalMode;
        }
        if ($this->mode !== 'initial') {
            $this->errors->add('misplaced-doctype', $doctype->start);

            return;
        }
        if (! Quirks::conforms($doctype)) {
            $this->errors->add('non-conforming-doctype', $doctype->start);
        }
        $this->document->append(new Doctype(
            $doctype->name ?? '',
            $doctype->publicId ?? '',
            $doctype->systemId ?? '',
            new Span($doctype->start, $doctype->end),
        ));
        $this->document->mode = Quirks::modeOf($doctype);
        $this->mode = 'beforeHtml';
    }

    public function endOfFile(int $offset): void
    {
        $this->offset = $offset;
        $this->endOfFileIn($this->mode);
        while ($this->open->height() > 0) {
            $this->open->pop($offset, Closing::EndOfFile);
        }
    }

    public function allowsCdata(): bool
    {
        $current = $this->open->current;

        return $current !== null && $current->namespace !== NodeNamespace::Html;
    }

    private function isHtmlFor(Element $current, Tag $tag): bool
    {
        if (Foreign::isMathMlTextIntegrationPoint($current) && ! in_array($tag->name, ['mglyph', 'malignmark'], true)) {
            return true;
        }
        $isAnnotation = $current->name === 'annotation-xml' && $current->namespace === NodeNamespace::MathMl;

        return ($isAnnotation && $tag->name === 'svg') || Foreign::isHtmlIntegrationPoint($current);
    }

    private function startTagIn(string $mode, Tag $tag): void
    {
        match ($mode) {
            'inBody' => $this->startTagInBody($tag),
            'initial' => $this->leaveInitial() && $this->startTagIn('beforeHtml', $tag),
            'beforeHtml' => $this->startTagBeforeHtml($tag),
            'beforeHead' => $this->startTagBeforeHead($tag),
            'inHead' => $this->startTagInHead($tag),
            'inHeadNoscript' => $this->startTagInHeadNoscript($tag),
            'afterHead' => $this->startTagAfterHead($tag),
            'inTable' => $this->startTagInTable($tag),
            'inTableText' => $this->leaveTableText() && $this->startTagIn($this->mode, $tag),
            'inCaption' => $this->startTagInCaption($tag),
            'inColumnGroup' => $this->startTagInColumnGroup($tag),
            'inTableBody' => $this->startTagInTableBody($tag),
            'inRow' => $this->startTagInRow($tag),
            'inCell' => $this->startTagInCell($tag),
            'inSelect' => $this->startTagInSelect($tag),
            'inSelectInTable' => $this->startTagInSelectInTable($tag),
            'inTemplate' => $this->startTagInTemplate($tag),
            'afterBody' => $this->startTagAfterBody($tag),
            'inFrameset' => $this->startTagInFrameset($tag),
            'afterFrameset' => $this->startTagAfterFrameset($tag),
            'afterAfterBody' => $this->startTagAfterAfterBody($tag),
            'afterAfterFrameset' => $this->startTagAfterAfterFrameset($tag),
            default => throw new \LogicException("No start tag comes in mode $mode."),
        };
    }

    private function endTagIn(string $mode, Tag $tag): void
    {
        match ($mode) {
            'inBody' => $this->endTagInBody($tag),
            'initial' => $this->leaveInitial() && $this->endTagIn('beforeHtml', $tag),
            'beforeHtml' => $this->endTagBeforeHtml($tag),
            'beforeHead' => $this->endTagBeforeHead($tag),
            'inHead' => $this->endTagInHead($tag),
            'inHeadNoscript' => $this->endTagInHeadNoscript($tag),
            'afterHead' => $this->endTagAfterHead($tag),
            'text' => $this->endTagInText($tag),
            'inTable' => $this->endTagInTable($tag),
            'inTableText' => $this->leaveTableText() && $this->endTagIn($this->mode, $tag),
            'inCaption' => $this->endTagInCaption($tag),
            'inColumnGroup' => $this->endTagInColumnGroup($tag),
            'inTableBody' => $this->endTagInTableBody($tag),
            'inRow' => $this->endTagInRow($tag),
            'inCell' => $this->endTagInCell($tag),
            'inSelect' => $this->endTagInSelect($tag),
            'inSelectInTable' => $this->endTagInSelectInTable($tag),
            'inTemplate' => $this->endTagInTemplate($tag),
            'afterBody' => $this->endTagAfterBody($tag),
            'inFrameset' => $this->endTagInFrameset($tag),
            'afterFrameset' => $this->endTagAfterFrameset($tag),
            'afterAfterBody' => $this->endTagAfterAfterBody($tag),
            'afterAfterFrameset' => $this->stray($tag),
            default => throw new \LogicException("No end tag comes in mode $mode."),
        };
    }

    private function charactersIn(string $mode, string $text, int $start, int $end): void
    {
        switch ($mode) {
            case 'inBody':
            case 'inCell':
            case 'inCaption':
            case 'inTemplate':
                $this->charactersInBody($text, $start, $end);

                return;
            case 'text':
            case 'inSelect':
            case 'inSelectInTable':
                $this->insertText($text, $start, $end);

                return;
            case 'inTable':
            case 'inTableBody':
            case 'inRow':
                $this->charactersInTable($text, $start, $end);

                return;
            case 'inTableText':
                $this->pendingTableText[] = [$text, $start, $end];

                return;
        }
        $white = strspn($text, self::WHITE);
        if ($white > 0) {
            $this->whiteSpaceIn($mode, substr($text, 0, $white), $start, $start + $white);
        }
        if ($white < strlen($text)) {
            $this->offset = $start + $white;
            $this->blackCharactersIn($mode, substr($text, $white), $start + $white, $end);
        }
    }

    private function whiteSpaceIn(string $mode, string $text, int $start, int $end): void
    {
        match ($mode) {
            'initial', 'beforeHtml', 'beforeHead' => null,
            'afterBody', 'afterAfterBody', 'inHeadNoscript', 'afterAfterFrameset' => $mode === 'inHeadNoscript'
                ? $this->insertText($text, $start, $end)
                : $this->charactersInBody($text, $start, $end),
            default => $this->insertText($text, $start, $end),
        };
    }

    /** Text that begins with something else than white space, where it may not simply stand. */
    private function blackCharactersIn(string $mode, string $text, int $start, int $end): void
    {
        switch ($mode) {
            case 'initial':
                $this->leaveInitial();
                $this->charactersIn('beforeHtml', $text, $start, $end);
                break;
            case 'beforeHtml':
                $this->implyHtml();
                $this->charactersIn('beforeHead', $text, $start, $end);
                break;
            case 'beforeHead':
                $this->implyHead();
                $this->charactersIn('inHead', $text, $start, $end);
                break;
            case 'inHead':
                $this->leaveHead();
                $this->charactersIn('afterHead', $text, $start, $end);
                break;
            case 'inHeadNoscript':
                $this->errors->add('disallowed-content-in-noscript-in-head', $start);
                $this->open->pop($start);
                $this->mode = 'inHead';
                $this->charactersIn('inHead', $text, $start, $end);
                break;
            case 'afterHead':
                $this->implyBody();
                $this->charactersIn('inBody', $text, $start, $end);
                break;
            case 'inColumnGroup':
                if ($this->leaveColumnGroup($start)) {
                    $this->charactersIn($this->mode, $text, $start, $end);
                } elseif (preg_match('/[ \t\n\f\r]/', $text, $white, PREG_OFFSET_CAPTURE) === 1) {
                    // The character is ignored; white space after it is not.
                    $this->charactersIn($mode, substr($text, $white[0][1]), $start + $white[0][1], $end);
                }
                break;
            case 'afterBody':
            case 'afterAfterBody':
                $this->errors->add('text-after-body', $start);
                $this->mode = 'inBody';
                $this->charactersInBody($text, $start, $end);
                break;
            default:
                // 'inFrameset', 'afterFrameset', 'afterAfterFrameset': all but white space is ignored.
                $this->errors->add('text-in-frameset', $start);
                $white = preg_replace('/[^ \t\n\f\r]+/', '', $text) ?? '';
                if ($white !== '') {
                    $this->insertText($white, $start, $end);
                }
        }
    }

    private function endOfFileIn(string $mode): void
    {
        switch ($mode) {
            case 'initial':
                $this->leaveInitial();
                $this->endOfFileIn('beforeHtml');
                break;
            case 'beforeHtml':
                $this->implyHtml();
                $this->endOfFileIn('beforeHead');
                break;
            case 'beforeHead':
                $this->implyHead();
                $this->endOfFileIn('inHead');
                break;
            case 'inHead':
                $this->leaveHead();
                $this->endOfFileIn('afterHead');
                break;
            case 'inHeadNoscript':
                $this->errors->add('disallowed-content-in-noscript-in-head', $this->offset);
                $this->open->pop($this->offset);
                $this->endOfFileIn('inHead');
                break;
            case 'afterHead':
                $this->implyBody();
                $this->endOfFileIn('inBody');
                break;
            case 'text':
                $this->errors->add('eof-in-element-that-can-contain-only-text', $this->offset);
                $this->open->pop($this->offset, Closing::EndOfFile);
                $this->mode = $this->originalMode;
                $this->endOfFileIn($this->mode);
                break;
            case 'inTableText':
                $this->leaveTableText();
                $this->endOfFileIn($this->mode);
                break;
            case 'inTemplate':
                $this->endOfFileInTemplate();
                break;
            case 'inColumnGroup':
                $this->templateModes === [] ? $this->endOfFileInBody() : $this->endOfFileInTemplate();
                break;
            case 'afterBody':
            case 'afterAfterBody':
            case 'afterFrameset':
            case 'afterAfterFrameset':
                break;
            case 'inFrameset':
                if ($this->open->height() > 1) {
                    $this->errors->add('open-elements-left-after-eof', $this->offset);
                }
                break;
            default:
                $this->endOfFileInBody();
        }
    }

    private function endOfFileInBody(): void
    {
        if ($this->templateModes !== []) {
            $this->endOfFileInTemplate();

            return;
        }
        for ($depth = $this->open->height() - 1; $depth >= 0; $depth--) {
            if (! isset(self::MAY_STAY_OPEN[$this->open->at($depth)->name])) {
                $this->errors->add('open-elements-left-after-eof', $this->offset);
                break;
            }
        }
    }

    private function endOfFileInTemplate(): void
    {
        if (! $this->open->holds('template')) {
            return;
        }
        $this->errors->add('open-elements-left-after-eof', $this->offset);
        $this->open->popUntil($this->offset, Closing::EndOfFile, 'template');
        $this->formatting->clearToLastMarker();
        array_pop($this->templateModes);
        $this->resetMode();
        $this->endOfFileIn($this->mode);
    }

    // 13.2.6.4.1, "initial"

    private function leaveInitial(): bool
    {
        $this->errors->add('missing-doctype', $this->offset);
        $this->document->mode = Mode::Quirks;
        $this->mode = 'beforeHtml';

        return true;
    }

    // 13.2.6.4.2, "before html"

    private function startTagBeforeHtml(Tag $tag): void
    {
        if ($tag->name === 'html') {
            $this->pushRoot($this->elementFor($tag));
            $this->mode = 'beforeHead';

            return;
        }
        $this->implyHtml();
        $this->startTagIn('beforeHead', $tag);
    }

    private function endTagBeforeHtml(Tag $tag): void
    {
        if (! in_array($tag->name, ['head', 'body', 'html', 'br'], true)) {
            $this->stray($tag);

            return;
        }
        $this->implyHtml();
        $this->endTagIn('beforeHead', $tag);
    }

    private function implyHtml(): void
    {
        $this->pushRoot($this->document->made[] = new Element('html'));
        $this->mode = 'beforeHead';
    }

    private function pushRoot(Element $html): void
    {
        $this->document->append($html);
        $this->open->push($html);
    }

    // 13.2.6.4.3, "before head"

    private function startTagBeforeHead(Tag $tag): void
    {
        if ($tag->name === 'html') {
            $this->startTagInBody($tag);
        } elseif ($tag->name === 'head') {
            $this->head = $this->insertElement($tag);
            $this->mode = 'inHead';
        } else {
            $this->implyHead();
            $this->startTagIn('inHead', $tag);
        }
    }

    private function endTagBeforeHead(Tag $tag): void
    {
        if (! in_array($tag->name, ['head', 'body', 'html', 'br'], true)) {
            $this->stray($tag);

            return;
        }
        $this->implyHead();
        $this->endTagIn('inHead', $tag);
    }

    private function implyHead(): void
    {
        $this->head = $this->pushImplied('head');
        $this->mode = 'inHead';
    }

    // 13.2.6.4.4, "in head"

    private function startTagInHead(Tag $tag): void
    {
        switch ($tag->name) {
            case 'html':
                $this->startTagInBody($tag);
                break;
            case 'base':
            case 'basefont':
            case 'bgsound':
            case 'link':
            case 'meta':
                $this->insertVoid($tag);
                break;
            case 'title':
                $this->insertElement($tag);
                $this->tokenizer->switchToRcdata();
                $this->toText();
                break;
            case 'noframes':
            case 'style':
                $this->rawText($tag);
                break;
            case 'noscript':
                $this->insertElement($tag);
                $this->mode = 'inHeadNoscript';
                break;
            case 'script':
                $this->insertElement($tag);
                $this->tokenizer->switchToScriptData();
                $this->toText();
                break;
            case 'template':
                $this->insertElement($tag);
                $this->formatting->pushMarker();
                $this->framesetOk = false;
                $this->mode = 'inTemplate';
                $this->templateModes[] = 'inTemplate';
                break;
            case 'head':
                $this->errors->add('misplaced-start-tag-for-head-element', $tag->start);
                break;
            default:
                $this->leaveHead();
                $this->startTagIn('afterHead', $tag);
        }
    }

    private function endTagInHead(Tag $tag): void
    {
        switch ($tag->name) {
            case 'head':
                $this->closeCurrent($tag);
                $this->mode = 'afterHead';
                break;
            case 'body':
            case 'html':
            case 'br':
                $this->leaveHead();
                $this->endTagIn('afterHead', $tag);
                break;
            case 'template':
                $this->endTemplate($tag);
                break;
            default:
                $this->stray($tag);
        }
    }

    private function leaveHead(): void
    {
        $this->open->pop($this->offset);
        $this->mode = 'afterHead';
    }

    private function endTemplate(Tag $tag): void
    {
        if (! $this->open->holds('template')) {
            $this->stray($tag);

            return;
        }
        $this->open->generateAllImpliedEndTags($tag->start);
        $this->reportUnlessCurrent($tag);
        $template = $this->open->popUntil($tag->start, Closing::EndTag, 'template');
        $template->writeEndTag($tag->start, $tag->end);
        $this->formatting->clearToLastMarker();
        array_pop($this->templateModes);
        $this->resetMode();
    }

    // 13.2.6.4.5, "in head noscript"

    private function startTagInHeadNoscript(Tag $tag): void
    {
        switch ($tag->name) {
            case 'html':
                $this->startTagInBody($tag);
                break;
            case 'basefont':
            case 'bgsound':
            case 'link':
            case 'meta':
            case 'noframes':
            case 'style':
                $this->startTagInHead($tag);
                break;
            case 'head':
            case 'noscript':
                $this->errors->add(
                    $tag->name === 'head' ? 'misplaced-start-tag-for-head-element' : 'nested-noscript-in-head',
                    $tag->start,
                );
                break;
            default:
                $this->errors->add('disallowed-content-in-noscript-in-head', $tag->start);
                $this->open->pop($tag->start);
                $this->mode = 'inHead';
                $this->startTagInHead($tag);
        }
    }

    private function endTagInHeadNoscript(Tag $tag): void
    {
        if ($tag->name === 'noscript') {
            $this->closeCurrent($tag);
            $this->mode = 'inHead';
        } elseif ($tag->name === 'br') {
            $this->errors->add('disallowed-content-in-noscript-in-head', $tag->start);
            $this->open->pop($tag->start);
            $this->mode = 'inHead';
            $this->endTagInHead($tag);
        } else {
            $this->stray($tag);
        }
    }

    // 13.2.6.4.6, "after head"

    private function startTagAfterHead(Tag $tag): void
    {
        switch ($tag->name) {
            case 'html':
                $this->startTagInBody($tag);
                break;
            case 'body':
                $this->insertElement($tag);
                $this->framesetOk = false;
                $this->mode = 'inBody';
                break;
            case 'frameset':
                $this->insertElement($tag);
                $this->mode = 'inFrameset';
                break;
            case 'base':
            case 'basefont':
            case 'bgsound':
            case 'link':
            case 'meta':
            case 'noframes':
            case 'script':
            case 'style':
            case 'template':
            case 'title':
                $this->errors->add('abandoned-head-element-child', $tag->start);
                $head = $this->head;
                if ($head !== null) {
                    [$closedAt, $closing] = [$head->closedAt, $head->closing];
                    $this->open->push($head);
                    $this->startTagInHead($tag);
                    $this->open->remove($head, $tag->start);
                    [$head->closedAt, $head->closing] = [$closedAt, $closing];
                }
                break;
            case 'head':
                $this->errors->add('misplaced-start-tag-for-head-element', $tag->start);
                break;
            default:
                $this->implyBody();
                $this->startTagIn('inBody', $tag);
        }
    }

    private function endTagAfterHead(Tag $tag): void
    {
        if ($tag->name === 'template') {
            $this->endTemplate($tag);
        } elseif (in_array($tag->name, ['body', 'html', 'br'], true)) {
            $this->implyBody();
            $this->endTagIn('inBody', $tag);
        } else {
            $this->stray($tag);
        }
    }

    private function implyBody(): void
    {
        $this->pushImplied('body');
        $this->mode = 'inBody';
    }

    // 13.2.6.4.7, "in body"

    private function charactersInBody(string $text, int $start, int $end): void
    {
        // A NUL opened the way to the body, and is dropped there.
        if ($text === "\0") {
            return;
        }
        $this->reconstructFormatting();
        $this->insertText($text, $start, $end);
        if ($this->framesetOk && strspn($text, self::WHITE) < strlen($text)) {
            $this->framesetOk = false;
        }
    }

    private function startTagInBody(Tag $tag): void
    {
        switch ($tag->name) {
            case 'a':
                $active = $this->formatting->last('a');
                if ($active !== null) {
                    $this->errors->add('nested-a-element', $tag->start);
                    $this->adoptionAgency($tag, 'a');
                    $this->formatting->remove($active);
                    $this->open->remove($active, $tag->start);
                }
                $this->reconstructFormatting();
                $this->formatting->push($this->insertElement($tag));
                break;
            case 'b':
            case 'big':
            case 'code':
            case 'em':
            case 'font':
            case 'i':
            case 's':
            case 'small':
            case 'strike':
            case 'strong':
            case 'tt':
            case 'u':
                $this->reconstructFormatting();
                $this->formatting->push($this->insertElement($tag));
                break;
            case 'address':
            case 'article':
            case 'aside':
            case 'blockquote':
            case 'center':
            case 'details':
            case 'dialog':
            case 'dir':
            case 'div':
            case 'dl':
            case 'fieldset':
            case 'figcaption':
            case 'figure':
            case 'footer':
            case 'header':
            case 'hgroup':
            case 'main':
            case 'menu':
            case 'nav':
            case 'ol':
            case 'p':
            case 'search':
            case 'section':
            case 'summary':
            case 'ul':
                $this->closePInButtonScope();
                $this->insertElement($tag);
                break;
            case 'li':
                $this->startListItem($tag, ['li']);
                break;
            case 'dd':
            case 'dt':
                $this->startListItem($tag, ['dd', 'dt']);
                break;
            case 'h1':
            case 'h2':
            case 'h3':
            case 'h4':
            case 'h5':
            case 'h6':
                $this->closePInButtonScope();
                if ($this->isHeading($this->open->current)) {
                    $this->errors->add('nested-heading', $tag->start);
                    $this->open->pop($tag->start);
                }
                $this->insertElement($tag);
                break;
            case 'area':
            case 'br':
            case 'embed':
            case 'img':
            case 'keygen':
            case 'wbr':
                $this->reconstructFormatting();
                $this->insertVoid($tag);
                $this->framesetOk = false;
                break;
            case 'input':
                $this->reconstructFormatting();
                $this->insertVoid($tag);
                if (strtolower($this->attributeOf($tag, 'type')) !== 'hidden') {
                    $this->framesetOk = false;
                }
                break;
            case 'param':
            case 'source':
            case 'track':
                $this->insertVoid($tag);
                break;
            case 'hr':
                $this->closePInButtonScope();
                $this->insertVoid($tag);
                $this->framesetOk = false;
                break;
            case 'image':
                $this->errors->add('image-start-tag', $tag->start);
                $tag->name = 'img';
                $this->startTagInBody($tag);
                break;
            case 'html':
                $this->errors->add('misplaced-html-start-tag', $tag->start);
                if (! $this->open->holds('template')) {
                    $this->addAttributes($this->open->at(0), $tag);
                }
                break;
            case 'base':
            case 'basefont':
            case 'bgsound':
            case 'link':
            case 'meta':
            case 'noframes':
            case 'script':
            case 'style':
            case 'template':
            case 'title':
                $this->startTagInHead($tag);
                break;
            case 'body':
                $this->errors->add('misplaced-body-start-tag', $tag->start);
                if ($this->open->height() > 1 && $this->open->at(1)->is('body') && ! $this->open->holds('template')) {
                    $this->framesetOk = false;
                    $this->addAttributes($this->open->at(1), $tag);
                }
                break;
            case 'frameset':
                $this->errors->add('misplaced-frameset-start-tag', $tag->start);
                if ($this->framesetOk && $this->open->height() > 1 && $this->open->at(1)->is('body')) {
                    $this->detach($this->open->at(1));
                    while ($this->open->height() > 1) {
                        $this->open->pop($tag->start);
                    }
                    $this->insertElement($tag);
                    $this->mode = 'inFrameset';
                }
                break;
            case 'pre':
            case 'listing':
                $this->closePInButtonScope();
                $this->insertElement($tag);
                $this->skipNewline = true;
                $this->framesetOk = false;
                break;
            case 'form':
                $inTemplate = $this->open->holds('template');
                if ($this->form !== null && ! $inTemplate) {
                    $this->errors->add('nested-form', $tag->start);
                    break;
                }
                $this->closePInButtonScope();
                $form = $this->insertElement($tag);
                if (! $inTemplate) {
                    $this->form = $form;
                }
                break;
            case 'plaintext':
                $this->closePInButtonScope();
                $this->insertElement($tag);
                $this->tokenizer->switchToPlaintext();
                break;
            case 'button':
                if ($this->open->hasInScope('button')) {
                    $this->errors->add('nested-button', $tag->start);
                    $this->open->generateImpliedEndTags($tag->start);
                    $this->open->popUntil($tag->start, Closing::Other, 'button');
                }
                $this->reconstructFormatting();
                $this->insertElement($tag);
                $this->framesetOk = false;
                break;
            case 'nobr':
                $this->reconstructFormatting();
                if ($this->open->hasInScope('nobr')) {
                    $this->errors->add('nested-nobr', $tag->start);
                    $this->adoptionAgency($tag, 'nobr');
                    $this->reconstructFormatting();
                }
                $this->formatting->push($this->insertElement($tag));
                break;
            case 'applet':
            case 'marquee':
            case 'object':
                $this->reconstructFormatting();
                $this->insertElement($tag);
                $this->formatting->pushMarker();
                $this->framesetOk = false;
                break;
            case 'table':
                if ($this->document->mode !== Mode::Quirks) {
                    $this->closePInButtonScope();
                }
                $this->insertElement($tag);
                $this->framesetOk = false;
                $this->mode = 'inTable';
                break;
            case 'textarea':
                $this->insertElement($tag);
                $this->skipNewline = true;
                $this->tokenizer->switchToRcdata();
                $this->framesetOk = false;
                $this->toText();
                break;
            case 'xmp':
                $this->closePInButtonScope();
                $this->reconstructFormatting();
                $this->framesetOk = false;
                $this->rawText($tag);
                break;
            case 'iframe':
                $this->framesetOk = false;
                $this->rawText($tag);
                break;
            case 'noembed':
                $this->rawText($tag);
                break;
            case 'select':
                $this->reconstructFormatting();
                $this->insertElement($tag);
                $this->framesetOk = false;
                $this->mode = in_array($this->mode, ['inTable', 'inCaption', 'inTableBody', 'inRow', 'inCell'], true)
                    ? 'inSelectInTable'
                    : 'inSelect';
                break;
            case 'optgroup':
            case 'option':
                if ($this->open->current?->is('option') === true) {
                    $this->open->pop($tag->start);
                }
                $this->reconstructFormatting();
                $this->insertElement($tag);
                break;
            case 'rb':
            case 'rtc':
                if ($this->open->hasInScope('ruby')) {
                    $this->open->generateImpliedEndTags($tag->start);
                    $this->reportUnlessCurrentIs(['ruby'], $tag);
                }
                $this->insertElement($tag);
                break;
            case 'rp':
            case 'rt':
                if ($this->open->hasInScope('ruby')) {
                    $this->open->generateImpliedEndTags($tag->start, 'rtc');
                    $this->reportUnlessCurrentIs(['ruby', 'rtc'], $tag);
                }
                $this->insertElement($tag);
                break;
            case 'math':
                $this->reconstructFormatting();
                $this->insertForeign($tag, NodeNamespace::MathMl);
                break;
            case 'svg':
                $this->reconstructFormatting();
                $this->insertForeign($tag, NodeNamespace::Svg);
                break;
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'frame':
            case 'head':
            case 'tbody':
            case 'td':
            case 'tfoot':
            case 'th':
            case 'thead':
            case 'tr':
                $this->errors->add('misplaced-start-tag', $tag->start);
                break;
            default:
                $this->reconstructFormatting();
                $this->insertElement($tag);
        }
    }

    private function endTagInBody(Tag $tag): void
    {
        switch ($tag->name) {
            case 'a':
            case 'b':
            case 'big':
            case 'code':
            case 'em':
            case 'font':
            case 'i':
            case 'nobr':
            case 's':
            case 'small':
            case 'strike':
            case 'strong':
            case 'tt':
            case 'u':
                $this->adoptionAgency($tag, $tag->name);
                break;
            case 'address':
            case 'article':
            case 'aside':
            case 'blockquote':
            case 'button':
            case 'center':
            case 'details':
            case 'dialog':
            case 'dir':
            case 'div':
            case 'dl':
            case 'fieldset':
            case 'figcaption':
            case 'figure':
            case 'footer':
            case 'header':
            case 'hgroup':
            case 'listing':
            case 'main':
            case 'menu':
            case 'nav':
            case 'ol':
            case 'pre':
            case 'search':
            case 'section':
            case 'summary':
            case 'ul':
                if (! $this->open->hasInScope($tag->name)) {
                    $this->stray($tag);
                    break;
                }
                $this->open->generateImpliedEndTags($tag->start);
                $this->closeBy($tag, $tag->name);
                break;
            case 'p':
                if (! $this->open->hasInButtonScope('p')) {
                    $this->stray($tag);
                    $this->pushImplied('p');
                }
                $this->open->generateImpliedEndTags($tag->start, 'p');
                $this->closeBy($tag, 'p');
                break;
            case 'li':
                if (! $this->open->hasInListItemScope('li')) {
                    $this->stray($tag);
                    break;
                }
                $this->open->generateImpliedEndTags($tag->start, 'li');
                $this->closeBy($tag, 'li');
                break;
            case 'dd':
            case 'dt':
                if (! $this->open->hasInScope($tag->name)) {
                    $this->stray($tag);
                    break;
                }
                $this->open->generateImpliedEndTags($tag->start, $tag->name);
                $this->closeBy($tag, $tag->name);
                break;
            case 'h1':
            case 'h2':
            case 'h3':
            case 'h4':
            case 'h5':
            case 'h6':
                if (! $this->open->hasInScope('h1', 'h2', 'h3', 'h4', 'h5', 'h6')) {
                    $this->stray($tag);
                    break;
                }
                $this->open->generateImpliedEndTags($tag->start);
                $this->closeBy($tag, 'h1', 'h2', 'h3', 'h4', 'h5', 'h6');
                break;
            case 'template':
                $this->endTemplate($tag);
                break;
            case 'body':
            case 'html':
                if (! $this->open->hasInScope('body')) {
                    $this->stray($tag);
                    break;
                }
                $this->reportOpenAtBodyEnd($tag);
                $this->mode = 'afterBody';
                if ($tag->name === 'html') {
                    $this->endTagAfterBody($tag);
                } else {
                    $this->open->at(1)->writeEndTag($tag->start, $tag->end);
                }
                break;
            case 'form':
                $this->endForm($tag);
                break;
            case 'applet':
            case 'marquee':
            case 'object':
                if (! $this->open->hasInScope($tag->name)) {
                    $this->stray($tag);
                    break;
                }
                $this->open->generateImpliedEndTags($tag->start);
                $this->closeBy($tag, $tag->name);
                $this->formatting->clearToLastMarker();
                break;
            case 'br':
                $this->stray($tag);
                $this->reconstructFormatting();
                $this->insert($this->document->made[] = new Element('br'));
                $this->framesetOk = false;
                break;
            default:
                $this->anyOtherEndTag($tag, $tag->name);
        }
    }

    private function endForm(Tag $tag): void
    {
        if ($this->open->holds('template')) {
            if (! $this->open->hasInScope('form')) {
                $this->stray($tag);

                return;
            }
            $this->open->generateImpliedEndTags($tag->start);
            $this->closeBy($tag, 'form');

            return;
        }
        $form = $this->form;
        $this->form = null;
        if ($form === null || ! $this->open->hasElementInScope($form)) {
            $this->stray($tag);

            return;
        }
        $this->open->generateImpliedEndTags($tag->start);
        if ($this->open->current !== $form) {
            $this->errors->add('closing-of-element-with-open-child-elements', $tag->start);
        }
        $this->open->remove($form, $tag->start);
        $form->writeEndTag($tag->start, $tag->end);
        $form->closing = Closing::EndTag;
    }

    /** @param  list<string>  $names */
    private function startListItem(Tag $tag, array $names): void
    {
        $this->framesetOk = false;
        for ($depth = $this->open->height() - 1; $depth >= 0; $depth--) {
            $element = $this->open->at($depth);
            if ($element->namespace === NodeNamespace::Html && in_array($element->name, $names, true)) {
                $this->open->generateImpliedEndTags($tag->start, $element->name);
                if ($this->open->current !== $element) {
                    $this->errors->add('closing-of-element-with-open-child-elements', $tag->start);
                }
                $this->open->popThrough($element, $tag->start);
                break;
            }
            if ($this->isSpecial($element) && ! in_array($element->name, ['address', 'div', 'p'], true)) {
                break;
            }
            if (! $this->open->holds($names[0]) && ! $this->open->holds($names[count($names) - 1])) {
                break;
            }
        }
        $this->closePInButtonScope();
        $this->insertElement($tag);
    }

    private function closePInButtonScope(): void
    {
        if ($this->open->holds('p') && $this->open->hasInButtonScope('p')) {
            $this->open->generateImpliedEndTags($this->offset, 'p');
            if ($this->open->current?->is('p') !== true) {
                $this->errors->add('closing-of-element-with-open-child-elements', $this->offset);
            }
            $this->open->popUntil($this->offset, Closing::Other, 'p');
        }
    }

    private function anyOtherEndTag(Tag $tag, string $name): void
    {
        if (! $this->open->holds($name)) {
            $this->stray($tag);

            return;
        }
        for ($depth = $this->open->height() - 1; $depth >= 0; $depth--) {
            $element = $this->open->at($depth);
            if ($element->is($name)) {
                $this->open->generateImpliedEndTags($tag->start, $name);
                if ($this->open->current !== $element) {
                    $this->errors->add('closing-of-element-with-open-child-elements', $tag->start);
                }
                $this->open->popThrough($element, $tag->start, Closing::EndTag);
                $element->writeEndTag($tag->start, $tag->end);

                return;
            }
            if ($this->isSpecial($element)) {
                $this->stray($tag);

                return;
            }
        }
    }

    /** 13.2.6.4.7, "adoption agency algorithm", for an end tag or for a start tag that may not nest. */
    private function adoptionAgency(Tag $tag, string $subject): void
    {
        $current = $this->open->current;
        if ($current !== null && $current->is($subject) && $this->formatting->indexOf($current) === null) {
            $tag->isEnd ? $this->closeCurrent($tag) : $this->open->pop($tag->start);

            return;
        }
        // Nothing is open inside the current element: when it is the entry that the algorithm finds, it is simply
        // closed.
        if ($current !== null && $tag->isEnd && $this->formatting->last($subject) === $current) {
            $this->formatting->remove($current);
            $this->closeCurrent($tag);

            return;
        }
        for ($outer = 0; $outer < 8; $outer++) {
            $element = $this->formatting->last($subject);
            if ($element === null) {
                $outer === 0 && $tag->isEnd ? $this->anyOtherEndTag($tag, $subject) : null;

                return;
            }
            $depth = $element->closedAt === null ? $this->open->depthOf($element) : null;
            if ($depth === null) {
                $this->errors->add('end-tag-without-matching-open-element', $tag->start);
                $this->formatting->remove($element);

                return;
            }
            if (! $this->open->hasElementInScope($element)) {
                $this->stray($tag);

                return;
            }
            if ($outer === 0 && $element !== $this->open->current) {
                $this->errors->add('closing-of-element-with-open-child-elements', $tag->start);
            }
            $furthest = $this->furthestBlock($depth);
            if ($furthest === null) {
                $this->open->popThrough($element, $tag->start, $tag->isEnd ? Closing::EndTag : Closing::Other);
                if ($tag->isEnd) {
                    $element->writeEndTag($tag->start, $tag->end);
                }
                $this->formatting->remove($element);

                return;
            }
            $this->adopt($element, $depth, $furthest, $tag);
        }
    }

    private function furthestBlock(int $depth): ?int
    {
        for ($at = $depth + 1; $at < $this->open->height(); $at++) {
            if ($this->isSpecial($this->open->at($at))) {
                return $at;
            }
        }

        return null;
    }

    private function adopt(Element $element, int $depth, int $furthestDepth, Tag $tag): void
    {
        $furthest = $this->open->at($furthestDepth);
        $commonAncestor = $this->open->at($depth - 1);
        $bookmark = $this->formatting->indexOf($element) ?? 0;
        $last = $furthest;
        for ($at = $furthestDepth - 1, $inner = 1; $at > $depth; $at--, $inner++) {
            $node = $this->open->at($at);
            $index = $this->formatting->indexOf($node);
            if ($inner > 3 && $index !== null) {
                $this->formatting->remove($node);
                if ($index < $bookmark) {
                    $bookmark--;
                }
                $index = null;
            }
            if ($index === null) {
                $this->open->remove($node, $tag->start);

                continue;
            }
            $clone = $this->cloneOf($node);
            $this->formatting->replace($index, $clone);
            $this->open->replace($at, $clone, $tag->start);
            if ($last === $furthest) {
                $bookmark = $index + 1;
            }
            $this->detach($last);
            $clone->append($last);
            $last = $clone;
        }
        $this->detach($last);
        $this->insertAt($last, $commonAncestor);
        $clone = $this->cloneOf($element);
        $clone->children = $furthest->children;
        foreach ($clone->children as $child) {
            $child->parent = $clone;
        }
        $furthest->children = [];
        $furthest->append($clone);
        $index = $this->formatting->indexOf($element);
        $this->formatting->remove($element);
        if ($index !== null && $index < $bookmark) {
            $bookmark--;
        }
        $this->formatting->insert($bookmark, $clone);
        $this->open->remove($element, $tag->start);
        if ($tag->isEnd) {
            $this->document->continuations[spl_object_id($clone)][2] = $tag->start;
        }
        $this->open->insertAbove(($this->open->depthOf($furthest) ?? 0) + 1, $clone);
    }

    /** 13.2.4.3, "reconstruct the active formatting elements". */
    private function reconstructFormatting(): void
    {
        if ($this->formatting->lastIsOpen()) {
            return;
        }
        $index = $this->formatting->count() - 1;
        while ($index > 0) {
            $entry = $this->formatting->at($index - 1);
            if ($entry === null || $entry->closedAt === null) {
                break;
            }
            $index--;
        }
        for (; $index < $this->formatting->count(); $index++) {
            $entry = $this->formatting->at($index);
            if ($entry !== null) {
                $clone = $this->cloneOf($entry);
                $this->insert($clone);
                $this->open->push($clone);
                $this->formatting->replace($index, $clone);
            }
        }
    }

    // 13.2.6.4.8, "text"

    private function endTagInText(Tag $tag): void
    {
        $this->closeCurrent($tag);
        $this->mode = $this->originalMode;
    }

    private function toText(): void
    {
        $this->originalMode = $this->mode;
        $this->mode = 'text';
    }

    private function rawText(Tag $tag): void
    {
        $this->insertElement($tag);
        $this->tokenizer->switchToRawtext();
        $this->toText();
    }

    // 13.2.6.4.9, "in table"

    private function charactersInTable(string $text, int $start, int $end): void
    {
        if (in_array($this->open->current?->name, ['table', 'tbody', 'template', 'tfoot', 'thead', 'tr'], true)) {
            $this->pendingTableText = [[$text, $start, $end]];
            $this->originalMode = $this->mode;
            $this->mode = 'inTableText';

            return;
        }
        $this->errors->add('foster-parented-content', $start);
        $this->fosterParenting = true;
        $this->charactersInBody($text, $start, $end);
        $this->fosterParenting = false;
    }

    private function startTagInTable(Tag $tag): void
    {
        switch ($tag->name) {
            case 'caption':
                $this->open->clearBackTo($tag->start, 'table', 'template', 'html');
                $this->formatting->pushMarker();
                $this->insertElement($tag);
                $this->mode = 'inCaption';
                break;
            case 'colgroup':
                $this->open->clearBackTo($tag->start, 'table', 'template', 'html');
                $this->insertElement($tag);
                $this->mode = 'inColumnGroup';
                break;
            case 'col':
                $this->open->clearBackTo($tag->start, 'table', 'template', 'html');
                $this->pushImplied('colgroup');
                $this->mode = 'inColumnGroup';
                $this->startTagInColumnGroup($tag);
                break;
            case 'tbody':
            case 'tfoot':
            case 'thead':
                $this->open->clearBackTo($tag->start, 'table', 'template', 'html');
                $this->insertElement($tag);
                $this->mode = 'inTableBody';
                break;
            case 'td':
            case 'th':
            case 'tr':
                $this->open->clearBackTo($tag->start, 'table', 'template', 'html');
                $this->pushImplied('tbody');
                $this->mode = 'inTableBody';
                $this->startTagInTableBody($tag);
                break;
            case 'table':
                $this->errors->add('nested-table', $tag->start);
                if ($this->open->hasInTableScope('table')) {
                    $this->open->popUntil($tag->start, Closing::Other, 'table');
                    $this->resetMode();
                    $this->startTagIn($this->mode, $tag);
                }
                break;
            case 'style':
            case 'script':
            case 'template':
                $this->startTagInHead($tag);
                break;
            case 'input':
                if (strtolower($this->attributeOf($tag, 'type')) !== 'hidden') {
                    $this->fosterStartTag($tag);
                    break;
                }
                $this->errors->add('hidden-input-in-table', $tag->start);
                $this->insertVoid($tag);
                break;
            case 'form':
                $this->errors->add('form-in-table', $tag->start);
                if ($this->form === null && ! $this->open->holds('template')) {
                    $this->form = $this->insertElement($tag);
                    $this->open->pop($tag->end);
                }
                break;
            default:
                $this->fosterStartTag($tag);
        }
    }

    private function fosterStartTag(Tag $tag): void
    {
        $this->errors->add('foster-parented-content', $tag->start);
        $this->fosterParenting = true;
        $this->startTagInBody($tag);
        $this->fosterParenting = false;
    }

    private function endTagInTable(Tag $tag): void
    {
        switch ($tag->name) {
            case 'table':
                if (! $this->open->hasInTableScope('table')) {
                    $this->stray($tag);
                    break;
                }
                $this->open->popUntil($tag->start, Closing::EndTag, 'table')->writeEndTag($tag->start, $tag->end);
                $this->resetMode();
                break;
            case 'body':
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'html':
            case 'tbody':
            case 'td':
            case 'tfoot':
            case 'th':
            case 'thead':
            case 'tr':
                $this->stray($tag);
                break;
            case 'template':
                $this->endTemplate($tag);
                break;
            default:
                $this->errors->add('foster-parented-content', $tag->start);
                $this->fosterParenting = true;
                $this->endTagInBody($tag);
                $this->fosterParenting = false;
        }
    }

    // 13.2.6.4.10, "in table text"

    private function leaveTableText(): bool
    {
        $this->flushTableText();
        $this->mode = $this->originalMode;

        return true;
    }

    private function flushTableText(): void
    {
        $pending = $this->pendingTableText;
        $this->pendingTableText = [];
        $isWhite = array_filter(
            $pending,
            fn (array $piece) => strspn($piece[0], self::WHITE) < strlen($piece[0]),
        ) === [];
        if (! $isWhite) {
            $this->errors->add('foster-parented-content', $pending[0][1]);
        }
        foreach ($pending as [$text, $start, $end]) {
            if ($isWhite) {
                $this->insertText($text, $start, $end);
            } else {
                $this->fosterParenting = true;
                $this->charactersInBody($text, $start, $end);
                $this->fosterParenting = false;
            }
        }
    }

    // 13.2.6.4.11, "in caption"

    private function startTagInCaption(Tag $tag): void
    {
        if (in_array($tag->name, ['caption', 'col', 'colgroup', 'tbody', 'td', 'tfoot', 'th', 'thead', 'tr'], true)) {
            if ($this->closeCaption($tag)) {
                $this->startTagInTable($tag);
            }

            return;
        }
        $this->startTagInBody($tag);
    }

    private function endTagInCaption(Tag $tag): void
    {
        if ($tag->name === 'caption') {
            $this->closeCaption($tag);
        } elseif ($tag->name === 'table') {
            if ($this->closeCaption($tag)) {
                $this->endTagInTable($tag);
            }
        } elseif (in_array(
            $tag->name,
            ['body', 'col', 'colgroup', 'html', 'tbody', 'td', 'tfoot', 'th', 'thead', 'tr'],
            true,
        )) {
            $this->stray($tag);
        } else {
            $this->endTagInBody($tag);
        }
    }

    private function closeCaption(Tag $tag): bool
    {
        if (! $this->open->hasInTableScope('caption')) {
            $this->stray($tag);

            return false;
        }
        $this->open->generateImpliedEndTags($tag->start);
        if ($this->open->current?->is('caption') !== true) {
            $this->errors->add('closing-of-element-with-open-child-elements', $tag->start);
        }
        $this->closeTableElement($tag, 'caption');
        $this->formatting->clearToLastMarker();
        $this->mode = 'inTable';

        return true;
    }

    // 13.2.6.4.12, "in column group"

    private function startTagInColumnGroup(Tag $tag): void
    {
        if ($tag->name === 'html') {
            $this->startTagInBody($tag);
        } elseif ($tag->name === 'col') {
            $this->insertVoid($tag);
        } elseif ($tag->name === 'template') {
            $this->startTagInHead($tag);
        } elseif ($this->leaveColumnGroup($tag->start)) {
            $this->startTagIn($this->mode, $tag);
        }
    }

    private function endTagInColumnGroup(Tag $tag): void
    {
        if ($tag->name === 'colgroup') {
            if ($this->open->current?->is('colgroup') === true) {
                $this->closeCurrent($tag);
                $this->mode = 'inTable';
            } else {
                $this->stray($tag);
            }
        } elseif ($tag->name === 'col') {
            $this->stray($tag);
        } elseif ($tag->name === 'template') {
            $this->endTemplate($tag);
        } elseif ($this->leaveColumnGroup($tag->start)) {
            $this->endTagIn($this->mode, $tag);
        }
    }

    private function leaveColumnGroup(int $offset): bool
    {
        if ($this->open->current?->is('colgroup') !== true) {
            $this->errors->add('misplaced-content-in-column-group', $offset);

            return false;
        }
        $this->open->pop($offset);
        $this->mode = 'inTable';

        return true;
    }

    // 13.2.6.4.13, "in table body"

    private function startTagInTableBody(Tag $tag): void
    {
        switch ($tag->name) {
            case 'tr':
                $this->open->clearBackTo($tag->start, 'tbody', 'tfoot', 'thead', 'template', 'html');
                $this->insertElement($tag);
                $this->mode = 'inRow';
                break;
            case 'th':
            case 'td':
                $this->errors->add('cell-without-row', $tag->start);
                $this->open->clearBackTo($tag->start, 'tbody', 'tfoot', 'thead', 'template', 'html');
                $this->pushImplied('tr');
                $this->mode = 'inRow';
                $this->startTagInRow($tag);
                break;
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'tbody':
            case 'tfoot':
            case 'thead':
                if ($this->leaveTableBody($tag)) {
                    $this->startTagInTable($tag);
                }
                break;
            default:
                $this->startTagInTable($tag);
        }
    }

    private function endTagInTableBody(Tag $tag): void
    {
        switch ($tag->name) {
            case 'tbody':
            case 'tfoot':
            case 'thead':
                if (! $this->open->hasInTableScope($tag->name)) {
                    $this->stray($tag);
                    break;
                }
                $this->open->clearBackTo($tag->start, 'tbody', 'tfoot', 'thead', 'template', 'html');
                $this->closeCurrent($tag);
                $this->mode = 'inTable';
                break;
            case 'table':
                if ($this->leaveTableBody($tag)) {
                    $this->endTagInTable($tag);
                }
                break;
            case 'body':
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'html':
            case 'td':
            case 'th':
            case 'tr':
                $this->stray($tag);
                break;
            default:
                $this->endTagInTable($tag);
        }
    }

    private function leaveTableBody(Tag $tag): bool
    {
        if (! $this->open->hasInTableScope('tbody', 'thead', 'tfoot')) {
            $this->stray($tag);

            return false;
        }
        $this->open->clearBackTo($tag->start, 'tbody', 'tfoot', 'thead', 'template', 'html');
        $this->open->pop($tag->start);
        $this->mode = 'inTable';

        return true;
    }

    // 13.2.6.4.14, "in row"

    private function startTagInRow(Tag $tag): void
    {
        if ($tag->name === 'th' || $tag->name === 'td') {
            $this->open->clearBackTo($tag->start, 'tr', 'template', 'html');
            $this->insertElement($tag);
            $this->mode = 'inCell';
            $this->formatting->pushMarker();
        } elseif (in_array($tag->name, ['caption', 'col', 'colgroup', 'tbody', 'tfoot', 'thead', 'tr'], true)) {
            if ($this->leaveRow($tag)) {
                $this->startTagInTableBody($tag);
            }
        } else {
            $this->startTagInTable($tag);
        }
    }

    private function endTagInRow(Tag $tag): void
    {
        switch ($tag->name) {
            case 'tr':
                if (! $this->open->hasInTableScope('tr')) {
                    $this->stray($tag);
                    break;
                }
                $this->open->clearBackTo($tag->start, 'tr', 'template', 'html');
                $this->closeCurrent($tag);
                $this->mode = 'inTableBody';
                break;
            case 'table':
                if ($this->leaveRow($tag)) {
                    $this->endTagInTableBody($tag);
                }
                break;
            case 'tbody':
            case 'tfoot':
            case 'thead':
                if (! $this->open->hasInTableScope($tag->name)) {
                    $this->stray($tag);
                } elseif ($this->open->hasInTableScope('tr')) {
                    $this->leaveRow($tag);
                    $this->endTagInTableBody($tag);
                }
                break;
            case 'body':
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'html':
            case 'td':
            case 'th':
                $this->stray($tag);
                break;
            default:
                $this->endTagInTable($tag);
        }
    }

    private function leaveRow(Tag $tag): bool
    {
        if (! $this->open->hasInTableScope('tr')) {
            $this->stray($tag);

            return false;
        }
        $this->open->clearBackTo($tag->start, 'tr', 'template', 'html');
        $this->open->pop($tag->start);
        $this->mode = 'inTableBody';

        return true;
    }

    // 13.2.6.4.15, "in cell"

    private function startTagInCell(Tag $tag): void
    {
        if (in_array($tag->name, ['caption', 'col', 'colgroup', 'tbody', 'td', 'tfoot', 'th', 'thead', 'tr'], true)) {
            if (! $this->open->hasInTableScope('td', 'th')) {
                $this->errors->add('misplaced-start-tag', $tag->start);

                return;
            }
            $this->closeCell($tag);
            $this->startTagIn($this->mode, $tag);

            return;
        }
        $this->startTagInBody($tag);
    }

    private function endTagInCell(Tag $tag): void
    {
        switch ($tag->name) {
            case 'td':
            case 'th':
                if (! $this->open->hasInTableScope($tag->name)) {
                    $this->stray($tag);
                    break;
                }
                $this->open->generateImpliedEndTags($tag->start);
                $this->reportUnlessCurrent($tag);
                $this->closeTableElement($tag, $tag->name);
                $this->formatting->clearToLastMarker();
                $this->mode = 'inRow';
                break;
            case 'body':
            case 'caption':
            case 'col':
            case 'colgroup':
            case 'html':
                $this->stray($tag);
                break;
            case 'table':
            case 'tbody':
            case 'tfoot':
            case 'thead':
            case 'tr':
                if (! $this->open->hasInTableScope($tag->name)) {
                    $this->stray($tag);
                    break;
                }
                $this->closeCell($tag);
                $this->endTagIn($this->mode, $tag);
                break;
            default:
                $this->endTagInBody($tag);
        }
    }

    private function closeCell(Tag $tag): void
    {
        $this->open->generateImpliedEndTags($tag->start);
        $current = $this->open->current;
        if ($current === null || (! $current->is('td') && ! $current->is('th'))) {
            $this->errors->add('closing-of-element-with-open-child-elements', $tag->start);
        }
        $this->open->popUntil($tag->start, Closing::Other, 'td', 'th');
        $this->formatting->clearToLastMarker();
        $this->mode = 'inRow';
    }

    // "in select" and "in select in table", as the html5lib data expects them

    private function startTagInSelect(Tag $tag): void
    {
        switch ($tag->name) {
            case 'html':
                $this->startTagInBody($tag);
                break;
            case 'option':
                $this->popIfCurrent('option');
                $this->insertElement($tag);
                break;
            case 'optgroup':
                $this->popIfCurrent('option');
                $this->popIfCurrent('optgroup');
                $this->insertElement($tag);
                break;
            case 'hr':
                $this->popIfCurrent('option');
                $this->popIfCurrent('optgroup');
                $this->insertVoid($tag);
                break;
            case 'select':
                $this->errors->add('nested-select', $tag->start);
                $this->leaveSelect($tag);
                break;
            case 'input':
            case 'keygen':
            case 'textarea':
                $this->errors->add('misplaced-start-tag', $tag->start);
                if ($this->leaveSelect($tag)) {
                    $this->startTagIn($this->mode, $tag);
                }
                break;
            case 'script':
            case 'template':
                $this->startTagInHead($tag);
                break;
            default:
                $this->errors->add('misplaced-start-tag', $tag->start);
        }
    }

    private function endTagInSelect(Tag $tag): void
    {
        switch ($tag->name) {
            case 'optgroup':
                $current = $this->open->current;
                $below = $this->open->height() > 1 ? $this->open->at($this->open->height() - 2) : null;
                if ($current?->is('option') === true && $below?->is('optgroup') === true) {
                    $this->open->pop($tag->start);
                }
                $this->open->current?->is('optgroup') === true ? $this->closeCurrent($tag) : $this->stray($tag);
                break;
            case 'option':
                $this->open->current?->is('option') === true ? $this->closeCurrent($tag) : $this->stray($tag);
                break;
            case 'select':
                $this->leaveSelect($tag);
                break;
            case 'template':
                $this->endTemplate($tag);
                break;
            default:
                $this->stray($tag);
        }
    }

    private function leaveSelect(Tag $tag): bool
    {
        if (! $this->open->hasInSelectScope('select')) {
            $this->stray($tag);

            return false;
        }
        $select = $this->open->popUntil(
            $tag->start,
            $tag->isEnd && $tag->name === 'select' ? Closing::EndTag : Closing::Other,
            'select',
        );
        if ($select->closing === Closing::EndTag) {
            $select->writeEndTag($tag->start, $tag->end);
        }
        $this->resetMode();

        return true;
    }

    private function startTagInSelectInTable(Tag $tag): void
    {
        if (in_array($tag->name, ['caption', 'table', 'tbody', 'tfoot', 'thead', 'tr', 'td', 'th'], true)) {
            $this->errors->add('misplaced-start-tag', $tag->start);
            $this->open->popUntil($tag->start, Closing::Other, 'select');
            $this->resetMode();
            $this->startTagIn($this->mode, $tag);

            return;
        }
        $this->startTagInSelect($tag);
    }

    private function endTagInSelectInTable(Tag $tag): void
    {
        if (in_array($tag->name, ['caption', 'table', 'tbody', 'tfoot', 'thead', 'tr', 'td', 'th'], true)) {
            $this->stray($tag);
            if ($this->open->hasInTableScope($tag->name)) {
                $this->open->popUntil($tag->start, Closing::Other, 'select');
                $this->resetMode();
                $this->endTagIn($this->mode, $tag);
            }

            return;
        }
        $this->endTagInSelect($tag);
    }

    // 13.2.6.4.16, "in template"

    private function startTagInTemplate(Tag $tag): void
    {
        $mode = match ($tag->name) {
            'base', 'basefont', 'bgsound', 'link', 'meta', 'noframes', 'script', 'style', 'template', 'title' => null,
            'caption', 'colgroup', 'tbody', 'tfoot', 'thead' => 'inTable',
            'col' => 'inColumnGroup',
            'tr' => 'inTableBody',
            'td', 'th' => 'inRow',
            default => 'inBody',
        };
        if ($mode === null) {
            $this->startTagInHead($tag);

            return;
        }
        array_pop($this->templateModes);
        $this->templateModes[] = $mode;
        $this->mode = $mode;
        $this->startTagIn($mode, $tag);
    }

    private function endTagInTemplate(Tag $tag): void
    {
        $tag->name === 'template' ? $this->endTemplate($tag) : $this->stray($tag);
    }

    // 13.2.6.4.17, "after body"

    private function startTagAfterBody(Tag $tag): void
    {
        if ($tag->name === 'html') {
            $this->startTagInBody($tag);

            return;
        }
        $this->errors->add('start-tag-after-body', $tag->start);
        $this->mode = 'inBody';
        $this->startTagInBody($tag);
    }

    private function endTagAfterBody(Tag $tag): void
    {
        if ($tag->name === 'html') {
            $this->open->at(0)->writeEndTag($tag->start, $tag->end);
            $this->mode = 'afterAfterBody';

            return;
        }
        $this->errors->add('end-tag-after-body', $tag->start);
        $this->mode = 'inBody';
        $this->endTagInBody($tag);
    }

    // 13.2.6.4.18, "in frameset"

    private function startTagInFrameset(Tag $tag): void
    {
        match ($tag->name) {
            'html' => $this->startTagInBody($tag),
            'frameset' => $this->insertElement($tag),
            'frame' => $this->insertVoid($tag),
            'noframes' => $this->startTagInHead($tag),
            default => $this->errors->add('misplaced-start-tag', $tag->start),
        };
    }

    private function endTagInFrameset(Tag $tag): void
    {
        if ($tag->name !== 'frameset' || $this->open->height() === 1) {
            $this->stray($tag);

            return;
        }
        $this->closeCurrent($tag);
        if ($this->open->current?->is('frameset') !== true) {
            $this->mode = 'afterFrameset';
        }
    }

    // 13.2.6.4.19, "after frameset"

    private function startTagAfterFrameset(Tag $tag): void
    {
        match ($tag->name) {
            'html' => $this->startTagInBody($tag),
            'noframes' => $this->startTagInHead($tag),
            default => $this->errors->add('misplaced-start-tag', $tag->start),
        };
    }

    private function endTagAfterFrameset(Tag $tag): void
    {
        if ($tag->name === 'html') {
            $this->open->at(0)->writeEndTag($tag->start, $tag->end);
            $this->mode = 'afterAfterFrameset';
        } else {
            $this->stray($tag);
        }
    }

    // 13.2.6.4.20, "after after body"

    private function startTagAfterAfterBody(Tag $tag): void
    {
        $this->startTagAfterBody($tag);
    }

    private function endTagAfterAfterBody(Tag $tag): void
    {
        $this->errors->add('end-tag-after-body', $tag->start);
        $this->mode = 'inBody';
        $this->endTagInBody($tag);
    }

    // 13.2.6.4.21, "after after frameset"

    private function startTagAfterAfterFrameset(Tag $tag): void
    {
        $this->startTagAfterFrameset($tag);
    }

    // 13.2.6.5, foreign content

    private function startTagInForeign(Tag $tag, Element $current): void
    {
        $breaksOut = isset(Foreign::BREAKOUT[$tag->name])
            || ($tag->name === 'font' && array_intersect_key(Foreign::FONT, $tag->attributes) !== []);
        if ($breaksOut) {
            $this->errors->add('html-start-tag-in-foreign-content', $tag->start);
            $this->leaveForeign($tag->start);
            $this->startTagIn($this->mode, $tag);

            return;
        }
        $this->insertForeign($tag, $current->namespace);
    }

    private function endTagInForeign(Tag $tag, Element $current): void
    {
        if ($tag->name === 'br' || $tag->name === 'p') {
            $this->errors->add('html-end-tag-in-foreign-content', $tag->start);
            $this->leaveForeign($tag->start);
            $this->endTagIn($this->mode, $tag);

            return;
        }
        if (strtolower($current->name) !== $tag->name) {
            $this->errors->add('end-tag-without-matching-open-element', $tag->start);
        }
        if (! $this->open->holdsForeign($tag->name)) {
            $this->endTagIn($this->mode, $tag);

            return;
        }
        for ($depth = $this->open->height() - 1; $depth > 0; $depth--) {
            $element = $this->open->at($depth);
            if ($element->namespace === NodeNamespace::Html) {
                $this->endTagIn($this->mode, $tag);

                return;
            }
            if (strtolower($element->name) === $tag->name) {
                $this->open->popThrough($element, $tag->start, Closing::EndTag);
                $element->writeEndTag($tag->start, $tag->end);

                return;
            }
        }
    }

    private function leaveForeign(int $offset): void
    {
        for ($current = $this->open->current; $current !== null; $current = $this->open->current) {
            if (
                $current->namespace === NodeNamespace::Html
                || Foreign::isMathMlTextIntegrationPoint($current)
                || Foreign::isHtmlIntegrationPoint($current)
            ) {
                return;
            }
            $this->open->pop($offset);
        }
    }

    private function insertForeign(Tag $tag, NodeNamespace $namespace): void
    {
        $element = $this->document->made[] = new Element(
            Foreign::elementName($tag->name, $namespace),
            $tag->start,
            $tag->end,
            $tag->attributes === [] ? [] : Foreign::attributes($tag->attributes, $namespace),
            $namespace,
        );
        $this->insert($element);
        if ($tag->selfClosing) {
            $tag->acknowledged = true;
            $element->closedAt = $tag->end;
            $element->closing = Closing::Itself;
        } else {
            $this->open->push($element);
        }
    }

    // 13.2.6.1, creating and inserting nodes

    private function elementFor(Tag $tag): Element
    {
        return $this->document->made[] = new Element($tag->name, $tag->start, $tag->end, $tag->attributes);
    }

    private function insertElement(Tag $tag): Element
    {
        $element = $this->elementFor($tag);
        $current = $this->open->current;
        // What nearly always happens, without the way through the general case.
        if ($current !== null && ! $this->fosterParenting) {
            $element->parent = $current;
            $current->children[] = $element;
        } else {
            $this->insert($element);
        }
        $this->open->push($element);

        return $element;
    }

    private function insertVoid(Tag $tag): void
    {
        $element = $this->elementFor($tag);
        $element->closedAt = $tag->end;
        $element->closing = Closing::Itself;
        $this->insert($element);
        $tag->acknowledged = true;
    }

    private function pushImplied(string $name): Element
    {
        $element = $this->document->made[] = new Element($name);
        $this->insert($element);
        $this->open->push($element);

        return $element;
    }

    private function cloneOf(Element $element): Element
    {
        $clone = $this->document->made[] = new Element(
            $element->name,
            attributes: $element->attributes,
            namespace: $element->namespace,
        );
        $written = $this->document->continuations[spl_object_id($element)][1] ?? $element;
        $this->document->continuations[spl_object_id($clone)] = [$clone, $written, null];

        return $clone;
    }

    private function insert(Node $node): void
    {
        $current = $this->open->current;
        if ($current === null) {
            $this->document->append($node);
        } else {
            $this->insertAt($node, $current);
        }
    }

    /** 13.2.6.1, "appropriate place for inserting a node", with foster parenting. */
    private function insertAt(Node $node, Element $target): void
    {
        if (! $this->isFostering($target)) {
            $target->append($node);

            return;
        }
        [$parent, $before] = $this->fosterPlace();
        $before === null ? $parent->append($node) : $this->insertBefore($node, $parent, $before);
    }

    private function isFostering(Element $target): bool
    {
        return $this->fosterParenting
            && $target->namespace === NodeNamespace::Html
            && in_array($target->name, ['table', 'tbody', 'tfoot', 'thead', 'tr'], true);
    }

    /** @return array{Element, Element|null} the parent, and the child to go before */
    private function fosterPlace(): array
    {
        for ($depth = $this->open->height() - 1; $depth > 0; $depth--) {
            $element = $this->open->at($depth);
            if ($element->is('template')) {
                return [$element, null];
            }
            if ($element->is('table')) {
                return $element->parent === null ? [$this->open->at($depth - 1), null] : [$element->parent, $element];
            }
        }

        return [$this->open->at(0), null];
    }

    private function insertBefore(Node $node, Element $parent, Element $before): void
    {
        $node->parent = $parent;
        $last = count($parent->children) - 1;
        // The table is nearly always the last child: putting the node there and the table behind it moves nothing else.
        if ($last >= 0 && $parent->children[$last] === $before) {
            $parent->children[$last] = $node;
            $parent->children[] = $before;

            return;
        }
        $at = array_search($before, $parent->children, true);
        array_splice($parent->children, $at === false ? $last + 1 : $at, 0, [$node]);
    }

    private function insertText(string $text, int $start, int $end): void
    {
        $target = $this->open->current;
        if ($target === null) {
            return;
        }
        if ($this->fosterParenting && $this->isFostering($target)) {
            [$parent, $before] = $this->fosterPlace();
            $sibling = $this->childBefore($parent, $before);
            if ($sibling instanceof Text) {
                $sibling->add($text, $end);
            } elseif ($before === null) {
                $parent->append(new Text($text, $start, $end));
            } else {
                $this->insertBefore(new Text($text, $start, $end), $parent, $before);
            }

            return;
        }
        $last = $target->children === [] ? null : $target->children[count($target->children) - 1];
        if ($last instanceof Text) {
            $last->add($text, $end);
        } else {
            $target->append(new Text($text, $start, $end));
        }
    }

    private function childBefore(Element $parent, ?Element $before): ?Node
    {
        $last = count($parent->children) - 1;
        if ($before === null) {
            return $parent->children[$last] ?? null;
        }
        if ($last >= 0 && $parent->children[$last] === $before) {
            return $parent->children[$last - 1] ?? null;
        }
        $at = array_search($before, $parent->children, true);

        return is_int($at) ? ($parent->children[$at - 1] ?? null) : null;
    }

    private function detach(Node $node): void
    {
        $parent = $node->parent;
        if ($parent === null) {
            return;
        }
        $last = count($parent->children) - 1;
        if ($last >= 0 && $parent->children[$last] === $node) {
            array_pop($parent->children);
        } else {
            $at = array_search($node, $parent->children, true);
            if (is_int($at)) {
                array_splice($parent->children, $at, 1);
            }
        }
        $node->parent = null;
    }

    // 13.2.4.1, "reset the insertion mode appropriately"

    private function resetMode(): void
    {
        for ($depth = $this->open->height() - 1; $depth >= 0; $depth--) {
            $element = $this->open->at($depth);
            $mode = $element->namespace === NodeNamespace::Html ? $this->modeFor($element, $depth) : null;
            if ($mode !== null) {
                $this->mode = $mode;

                return;
            }
        }
        $this->mode = 'inBody';
    }

    private function modeFor(Element $element, int $depth): ?string
    {
        return match ($element->name) {
            'select' => $this->isSelectInTable($depth) ? 'inSelectInTable' : 'inSelect',
            'td', 'th' => 'inCell',
            'tr' => 'inRow',
            'tbody', 'thead', 'tfoot' => 'inTableBody',
            'caption' => 'inCaption',
            'colgroup' => 'inColumnGroup',
            'table' => 'inTable',
            'template' => $this->templateModes === []
                ? 'inBody'
                : $this->templateModes[count($this->templateModes) - 1],
            'head' => 'inHead',
            'body' => 'inBody',
            'frameset' => 'inFrameset',
            'html' => $this->head === null ? 'beforeHead' : 'afterHead',
            default => null,
        };
    }

    private function isSelectInTable(int $depth): bool
    {
        while (--$depth > 0) {
            if ($this->open->at($depth)->is('template')) {
                return false;
            }
            if ($this->open->at($depth)->is('table')) {
                return true;
            }
        }

        return false;
    }

    // Closing and complaining

    private function closeCurrent(Tag $tag): void
    {
        $this->open->pop($tag->start, Closing::EndTag)->writeEndTag($tag->start, $tag->end);
    }

    /** Pops through the nearest element of one of the names, which the end tag was written for. */
    private function closeBy(Tag $tag, string ...$names): void
    {
        $this->reportUnlessCurrent($tag);
        $element = $this->open->popUntil($tag->start, Closing::EndTag, ...$names);
        $element->writeEndTag($tag->start, $tag->end);
    }

    private function closeTableElement(Tag $tag, string $name): void
    {
        $isOwn = $tag->isEnd && $tag->name === $name;
        $element = $this->open->popUntil($tag->start, $isOwn ? Closing::EndTag : Closing::Other, $name);
        if ($isOwn) {
            $element->writeEndTag($tag->start, $tag->end);
        }
    }

    private function popIfCurrent(string $name): void
    {
        if ($this->open->current?->is($name) === true) {
            $this->open->pop($this->offset);
        }
    }

    private function stray(Tag $tag): void
    {
        $this->errors->add('end-tag-without-matching-open-element', $tag->start);
    }

    private function reportUnlessCurrent(Tag $tag): void
    {
        if ($this->open->current?->is($tag->name) !== true) {
            $this->errors->add('closing-of-element-with-open-child-elements', $tag->start);
        }
    }

    /** @param  list<string>  $names */
    private function reportUnlessCurrentIs(array $names, Tag $tag): void
    {
        if (! in_array($this->open->current?->name, $names, true)) {
            $this->errors->add('misplaced-start-tag', $tag->start);
        }
    }

    private function reportOpenAtBodyEnd(Tag $tag): void
    {
        for ($depth = $this->open->height() - 1; $depth > 1; $depth--) {
            if (! isset(self::MAY_STAY_OPEN[$this->open->at($depth)->name])) {
                $this->errors->add('closing-of-element-with-open-child-elements', $tag->start);

                return;
            }
        }
    }

    private function addAttributes(Element $element, Tag $tag): void
    {
        $element->attributes += $tag->attributes;
    }

    private function attributeOf(Tag $tag, string $name): string
    {
        return ($tag->attributes[$name] ?? null)->value ?? '';
    }

    private function isHeading(?Element $element): bool
    {
        return $element !== null
            && $element->namespace === NodeNamespace::Html
            && in_array($element->name, ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'], true);
    }

    private function isSpecial(Element $element): bool
    {
        return match ($element->namespace) {
            NodeNamespace::Html => isset(self::SPECIAL[$element->name]),
            NodeNamespace::MathMl => in_array(
                $element->name,
                ['mi', 'mo', 'mn', 'ms', 'mtext', 'annotation-xml'],
                true,
            ),
            NodeNamespace::Svg => in_array($element->name, ['foreignObject', 'desc', 'title'], true),
        };
    }
}
