<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\Parser;

use InkedMargin\Core\Markup\Attribute;

/**
 * The tokenizer of the HTML Standard, 13.2.5: a method for each of its states, under the standard's names.
 *
 * It works on UTF-8 as it came, so that every offset is one in the source: everything that has a meaning to it is
 * ASCII, and no byte of a longer character looks like that. CR and CR LF count as LF (13.2.3.5). Well-formed tags and
 * runs of text are read by one expression each; the states are for what is left.
 */
final class Tokenizer
{
    private const WHITE = " \t\n\f\r";

    private const NAME = '~^[a-zA-Z][a-zA-Z0-9:_-]*+$~D';

    private const ATTRIBUTE = '~\G[ \t\n\r\f]++([^ \t\n\r\f"\'<>/=\0]++)(?:[ \t\n\r\f]*+=[ \t\n\r\f]*+(?:'
        .'"([^"\0]*+)"(?=[ \t\n\r\f/>])|\'([^\'\0]*+)\'(?=[ \t\n\r\f/>])|([^ \t\n\r\f"\'`<>=\0]++(?<!/))))?+~';

    /**
     * @var array<string, string> names in lower case by how they were written, so that a page keeps each of them once
     */
    private array $names = [];

    /** @var array<string, string> likewise of attributes */
    private array $attributeNames = [];

    /** @var string the method of the state the tokenizer is in; '' when it is done */
    private string $state = 'dataState';

    private int $at = 0;

    private readonly int $length;

    private string $lastStartTag = '';

    private readonly CharacterReferences $references;

    /** The tag or doctype that is being read, where the fast expressions did not do. */
    private int $tokenStart = 0;

    private bool $isEndTag = false;

    private string $tagName = '';

    private bool $selfClosing = false;

    /** @var array<string, Attribute> */
    private array $attributes = [];

    private int $nameStart = 0;

    private string $attributeName = '';

    private ?int $nameEnd = null;

    private bool $isDuplicate = false;

    private string $attributeValue = '';

    private string $comment = '';

    private ?string $doctypeName = null;

    private ?string $publicId = null;

    private ?string $systemId = null;

    private bool $forceQuirks = false;

    public function __construct(
        private readonly string $source,
        private readonly TokenSink $sink,
        private readonly Errors $errors,
    ) {
        $this->length = strlen($source);
        $this->references = new CharacterReferences($source, $errors);
        // A byte order mark is no part of the document (Encoding Standard, "decode").
        $this->at = str_starts_with($source, "\xEF\xBB\xBF") ? 3 : 0;
    }

    public function run(): void
    {
        while ($this->state !== '') {
            $this->{$this->state}();
        }
    }

    public function switchToRcdata(): void
    {
        $this->state = 'rcdataState';
    }

    public function switchToRawtext(): void
    {
        $this->state = 'rawtextState';
    }

    public function switchToScriptData(): void
    {
        $this->state = 'scriptDataState';
    }

    public function switchToPlaintext(): void
    {
        $this->state = 'plaintextState';
    }

    // 13.2.5.1
    private function dataState(): void
    {
        do {
            $run = strcspn($this->source, "<&\0", $this->at);
            if ($run > 0) {
                $this->emitSource($this->at, $this->at + $run);
                $this->at += $run;
            }
            if ($this->at >= $this->length) {
                $this->emitEndOfFile();

                return;
            }
            $character = $this->source[$this->at];
            if ($character === '&') {
                $this->emitReference();
            } elseif ($character === '<') {
                if (($this->source[$this->at + 1] ?? '') === '<') {
                    $this->lessThanSignsInARow();
                } elseif (! $this->wholeTag()) {
                    $this->state = 'tagOpenState';
                    $this->at++;

                    return;
                }
            } else {
                $this->errors->add('unexpected-null-character', $this->at);
                $this->sink->nullCharacter($this->at++);
            }
        } while ($this->state === 'dataState');
    }

    /**
     * Each but the last of several less-than signs is text, as the tag open state (13.2.5.6) finds no name behind it.
     */
    private function lessThanSignsInARow(): void
    {
        $end = $this->at + strspn($this->source, '<', $this->at) - 1;
        for ($sign = $this->at + 1; $sign <= $end; $sign++) {
            $this->errors->add('invalid-first-character-of-tag-name', $sign);
        }
        $this->emitSource($this->at, $end);
        $this->at = $end;
    }

    // 13.2.5.2
    private function rcdataState(): void
    {
        $this->textWithReferences('rcdata');
    }

    // 13.2.5.3
    private function rawtextState(): void
    {
        $this->textUntilEndTag();
    }

    private function textWithReferences(string $kind): void
    {
        do {
            $run = strcspn($this->source, "<&\0", $this->at);
            $this->emitSource($this->at, $this->at + $run);
            $this->at += $run;
            if ($this->at >= $this->length) {
                $this->emitEndOfFile();

                return;
            }
            match ($this->source[$this->at]) {
                '&' => $this->emitReference(),
                '<' => $this->endTagOrText(),
                default => $this->emitReplacement(),
            };
        } while ($this->state === "{$kind}State");
    }

    private function textUntilEndTag(): void
    {
        do {
            $run = strcspn($this->source, "<\0", $this->at);
            $this->emitSource($this->at, $this->at + $run);
            $this->at += $run;
            if ($this->at >= $this->length) {
                $this->emitEndOfFile();

                return;
            }
            $this->source[$this->at] === '<' ? $this->endTagOrText() : $this->emitReplacement();
        } while ($this->state === 'rawtextState');
    }

    /**
     * 13.2.5.9 to 13.2.5.14: the less-than sign, end tag open and end tag name states of RCDATA and RAWTEXT, in one
     * look ahead.
     */
    private function endTagOrText(): void
    {
        if (! $this->appropriateEndTag()) {
            $this->emitSource($this->at, $this->at + 1);
            $this->at++;
        }
    }

    /** Begins the end tag of the element that is open, when that is what stands here. */
    private function appropriateEndTag(): bool
    {
        $length = strlen($this->lastStartTag);
        $behind = $this->at + 2 + $length;
        if (($this->source[$this->at + 1] ?? '') !== '/' || $this->lastStartTag === ''
            || substr_compare($this->source, $this->lastStartTag, $this->at + 2, $length, true) !== 0
            || strspn($this->source, self::WHITE.'/>', $behind, 1) === 0) {
            return false;
        }
        $this->beginTag($this->at, true);
        $this->tagName = $this->lastStartTag;
        $this->at = $behind;
        $this->state = 'tagNameState';

        return true;
    }

    // 13.2.5.4, and 13.2.5.15 to 13.2.5.17 by looking ahead
    private function scriptDataState(): void
    {
        do {
            $run = strcspn($this->source, "<\0", $this->at);
            $this->emitSource($this->at, $this->at + $run);
            $this->at += $run;
            if ($this->at >= $this->length) {
                $this->emitEndOfFile();
            } elseif ($this->source[$this->at] !== '<') {
                $this->emitReplacement();
            } elseif (substr_compare($this->source, '<!--', $this->at, 4) === 0) {
                // 13.2.5.18, 13.2.5.19: script data escape start, and its dash
                $this->emitSource($this->at, $this->at + 4);
                $this->at += 4;
                $this->state = 'scriptDataEscapedDashDashState';
            } elseif (substr_compare($this->source, '<!', $this->at, 2) === 0) {
                $this->emitSource($this->at, $this->at + 2);
                $this->at += 2;
            } else {
                $this->endTagOrText();
            }
        } while ($this->state === 'scriptDataState');
    }

    // 13.2.5.5
    private function plaintextState(): void
    {
        $run = strcspn($this->source, "\0", $this->at);
        $this->emitSource($this->at, $this->at + $run);
        $this->at += $run;
        $this->at >= $this->length ? $this->emitEndOfFile() : $this->emitReplacement();
    }

    // 13.2.5.6
    private function tagOpenState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === '!') {
            $this->at++;
            $this->state = 'markupDeclarationOpenState';
        } elseif ($character === '/') {
            $this->at++;
            $this->state = 'endTagOpenState';
        } elseif ($character !== null && ctype_alpha($character)) {
            $this->beginTag($this->at - 1, false);
            $this->state = 'tagNameState';
        } elseif ($character === '?') {
            $this->errors->add('unexpected-question-mark-instead-of-tag-name', $this->at);
            $this->beginComment($this->at - 1);
            $this->state = 'bogusCommentState';
        } else {
            $this->errors->add(
                $character === null ? 'eof-before-tag-name' : 'invalid-first-character-of-tag-name',
                $this->at,
            );
            $this->emitSource($this->at - 1, $this->at);
            $this->state = 'dataState';
        }
    }

    // 13.2.5.7
    private function endTagOpenState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->errors->add('eof-before-tag-name', $this->at);
            $this->emitSource($this->at - 2, $this->at);
            $this->state = 'dataState';
        } elseif (ctype_alpha($character)) {
            $this->beginTag($this->at - 2, true);
            $this->state = 'tagNameState';
        } elseif ($character === '>') {
            $this->errors->add('missing-end-tag-name', $this->at++);
            $this->state = 'dataState';
        } else {
            $this->errors->add('invalid-first-character-of-tag-name', $this->at);
            $this->beginComment($this->at - 2);
            $this->state = 'bogusCommentState';
        }
    }

    // 13.2.5.8
    private function tagNameState(): void
    {
        $run = strcspn($this->source, self::WHITE."/>\0", $this->at);
        $this->tagName .= strtolower($this->decoded($this->at, $this->at + $run));
        $this->at += $run;
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->endOfFileInTag();

            return;
        }
        if ($character === "\0") {
            $this->errors->add('unexpected-null-character', $this->at++);
            $this->tagName .= "\u{FFFD}";

            return;
        }
        $this->at++;
        match ($character) {
            '/' => $this->state = 'selfClosingStartTagState',
            '>' => $this->emitTag(),
            default => $this->state = 'beforeAttributeNameState',
        };
    }

    // 13.2.5.32
    private function beforeAttributeNameState(): void
    {
        $this->at += strspn($this->source, self::WHITE, $this->at);
        $character = $this->source[$this->at] ?? null;
        if ($character === null || $character === '/' || $character === '>') {
            $this->state = 'afterAttributeNameState';

            return;
        }
        $this->nameStart = $this->at;
        $this->attributeName = '';
        if ($character === '=') {
            $this->errors->add('unexpected-equals-sign-before-attribute-name', $this->at++);
            $this->attributeName = '=';
        }
        $this->state = 'attributeNameState';
    }

    // 13.2.5.33
    private function attributeNameState(): void
    {
        do {
            $run = strcspn($this->source, self::WHITE."/>=\0\"'<", $this->at);
            $this->attributeName .= strtolower($this->decoded($this->at, $this->at + $run));
            $this->at += $run;
            $character = $this->source[$this->at] ?? null;
            if ($character === "\0") {
                $this->errors->add('unexpected-null-character', $this->at++);
                $this->attributeName .= "\u{FFFD}";
            } elseif ($character === '"' || $character === "'" || $character === '<') {
                $this->errors->add('unexpected-character-in-attribute-name', $this->at++);
                $this->attributeName .= $character;
            } else {
                break;
            }
        } while (true);
        $this->nameEnd = $this->at;
        $this->isDuplicate = isset($this->attributes[$this->attributeName]);
        if ($this->isDuplicate) {
            $this->errors->add('duplicate-attribute', $this->at);
        }
        if ($character === '=') {
            $this->at++;
            $this->state = 'beforeAttributeValueState';
        } else {
            $this->keepAttribute('');
            $this->state = 'afterAttributeNameState';
        }
    }

    // 13.2.5.34
    private function afterAttributeNameState(): void
    {
        $this->at += strspn($this->source, self::WHITE, $this->at);
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->endOfFileInTag();
        } elseif ($character === '/') {
            $this->at++;
            $this->state = 'selfClosingStartTagState';
        } elseif ($character === '=' && $this->nameEnd !== null) {
            // The attribute was kept without a value; it is given one now.
            $this->at++;
            if (! $this->isDuplicate) {
                unset($this->attributes[$this->attributeName]);
            }
            $this->state = 'beforeAttributeValueState';
        } elseif ($character === '>') {
            $this->at++;
            $this->emitTag();
        } else {
            $this->nameStart = $this->at;
            $this->attributeName = '';
            $this->state = 'attributeNameState';
        }
    }

    // 13.2.5.35
    private function beforeAttributeValueState(): void
    {
        $this->at += strspn($this->source, self::WHITE, $this->at);
        $this->attributeValue = '';
        $character = $this->source[$this->at] ?? null;
        if ($character === '"' || $character === "'") {
            $this->at++;
            $this->quotedValue($character);
        } elseif ($character === '>') {
            $this->errors->add('missing-attribute-value', $this->at++);
            $this->keepAttribute('');
            $this->emitTag();
        } else {
            $this->unquotedValue();
        }
    }

    // 13.2.5.36 and 13.2.5.37
    private function quotedValue(string $quote): void
    {
        $start = $this->at;
        $this->valueUpTo("$quote&\0");
        if ($this->at >= $this->length) {
            $this->endOfFileInTag();

            return;
        }
        $this->keepAttribute($this->attributeValue, $start);
        $this->at++;
        $this->state = 'afterAttributeValueQuotedState';
    }

    // 13.2.5.38
    private function unquotedValue(): void
    {
        $start = $this->at;
        do {
            $this->valueUpTo(self::WHITE."&>\0\"'<=`");
            $character = $this->source[$this->at] ?? null;
            if ($character === null || strpbrk($character, "\"'<=`") === false) {
                break;
            }
            $this->errors->add('unexpected-character-in-unquoted-attribute-value', $this->at++);
            $this->attributeValue .= $character;
        } while (true);
        if ($character === null) {
            $this->endOfFileInTag();

            return;
        }
        $this->keepAttribute($this->attributeValue, $start);
        $this->at++;
        $character === '>' ? $this->emitTag() : $this->state = 'beforeAttributeNameState';
    }

    /** Adds to the attribute's value up to one of the given characters; ampersand and NUL are seen to here. */
    private function valueUpTo(string $stops): void
    {
        do {
            $run = strcspn($this->source, $stops, $this->at);
            $this->attributeValue .= $this->decoded($this->at, $this->at + $run);
            $this->at += $run;
            $character = $this->source[$this->at] ?? null;
            if ($character === '&') {
                [$text, $this->at] = $this->references->read($this->at, true);
                $this->attributeValue .= $text;
            } elseif ($character === "\0") {
                $this->errors->add('unexpected-null-character', $this->at++);
                $this->attributeValue .= "\u{FFFD}";
            } else {
                return;
            }
        } while (true);
    }

    // 13.2.5.39
    private function afterAttributeValueQuotedState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->endOfFileInTag();
        } elseif (strpbrk($character, self::WHITE) !== false) {
            $this->at++;
            $this->state = 'beforeAttributeNameState';
        } elseif ($character === '/') {
            $this->at++;
            $this->state = 'selfClosingStartTagState';
        } elseif ($character === '>') {
            $this->at++;
            $this->emitTag();
        } else {
            $this->errors->add('missing-whitespace-between-attributes', $this->at);
            $this->state = 'beforeAttributeNameState';
        }
    }

    // 13.2.5.40
    private function selfClosingStartTagState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === '>') {
            $this->at++;
            $this->selfClosing = true;
            $this->emitTag();
        } elseif ($character === null) {
            $this->endOfFileInTag();
        } else {
            $this->errors->add('unexpected-solidus-in-tag', $this->at);
            $this->state = 'beforeAttributeNameState';
        }
    }

    // 13.2.5.41
    private function bogusCommentState(): void
    {
        $run = strcspn($this->source, '>', $this->at);
        $text = $this->decoded($this->at, $this->at + $run);
        $end = $this->at + $run;
        for ($at = $this->at; ($at += strcspn($this->source, "\0", $at, $end - $at)) < $end; $at++) {
            $this->errors->add('unexpected-null-character', $at);
        }
        $this->at = min($this->length, $this->at + $run + 1);
        $this->comment .= str_replace("\0", "\u{FFFD}", $text);
        $this->emitComment();
    }

    // 13.2.5.42
    private function markupDeclarationOpenState(): void
    {
        if (substr_compare($this->source, '--', $this->at, 2) === 0) {
            $this->beginComment($this->at - 2);
            $this->at += 2;
            $this->state = 'commentStartState';
        } elseif (strncasecmp(substr($this->source, $this->at, 7), 'doctype', 7) === 0) {
            $this->tokenStart = $this->at - 2;
            $this->at += 7;
            [$this->doctypeName, $this->publicId, $this->systemId, $this->forceQuirks] = [null, null, null, false];
            $this->state = 'doctypeState';
        } elseif (substr_compare($this->source, '[CDATA[', $this->at, 7) === 0) {
            $this->at += 7;
            if ($this->sink->allowsCdata()) {
                $this->state = 'cdataSectionState';
            } else {
                $this->errors->add('cdata-in-html-content', $this->at - 1);
                $this->beginComment($this->at - 9);
                $this->comment = '[CDATA[';
                $this->state = 'bogusCommentState';
            }
        } else {
            $this->errors->add('incorrectly-opened-comment', $this->at);
            $this->beginComment($this->at - 2);
            $this->state = 'bogusCommentState';
        }
    }

    // 13.2.5.43
    private function commentStartState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === '-') {
            $this->at++;
            $this->state = 'commentStartDashState';
        } elseif ($character === '>') {
            $this->errors->add('abrupt-closing-of-empty-comment', $this->at++);
            $this->emitComment();
        } else {
            $this->state = 'commentState';
        }
    }

    // 13.2.5.44
    private function commentStartDashState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === '-') {
            $this->at++;
            $this->state = 'commentEndState';
        } elseif ($character === '>') {
            $this->errors->add('abrupt-closing-of-empty-comment', $this->at++);
            $this->emitComment();
        } elseif ($character === null) {
            $this->endOfFileInComment();
        } else {
            $this->comment .= '-';
            $this->state = 'commentState';
        }
    }

    // 13.2.5.45
    private function commentState(): void
    {
        $run = strcspn($this->source, "<-\0", $this->at);
        $this->comment .= $this->decoded($this->at, $this->at + $run);
        $this->at += $run;
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->endOfFileInComment();

            return;
        }
        $this->at++;
        if ($character === '<') {
            $this->comment .= '<';
            $this->state = 'commentLessThanSignState';
        } elseif ($character === '-') {
            $this->state = 'commentEndDashState';
        } else {
            $this->errors->add('unexpected-null-character', $this->at - 1);
            $this->comment .= "\u{FFFD}";
        }
    }

    // 13.2.5.46
    private function commentLessThanSignState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === '!') {
            $this->at++;
            $this->comment .= '!';
            $this->state = 'commentLessThanSignBangState';
        } elseif ($character === '<') {
            $this->at++;
            $this->comment .= '<';
        } else {
            $this->state = 'commentState';
        }
    }

    // 13.2.5.47
    private function commentLessThanSignBangState(): void
    {
        $this->nextDash('commentLessThanSignBangDashState', 'commentState');
    }

    // 13.2.5.48
    private function commentLessThanSignBangDashState(): void
    {
        $this->nextDash('commentLessThanSignBangDashDashState', 'commentEndDashState');
    }

    private function nextDash(string $then, string $otherwise): void
    {
        $dash = ($this->source[$this->at] ?? null) === '-';
        $this->at += $dash ? 1 : 0;
        $this->state = $dash ? $then : $otherwise;
    }

    // 13.2.5.49
    private function commentLessThanSignBangDashDashState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character !== null && $character !== '>') {
            $this->errors->add('nested-comment', $this->at);
        }
        $this->state = 'commentEndState';
    }

    // 13.2.5.50
    private function commentEndDashState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === '-') {
            $this->at++;
            $this->state = 'commentEndState';
        } elseif ($character === null) {
            $this->endOfFileInComment();
        } else {
            $this->comment .= '-';
            $this->state = 'commentState';
        }
    }

    // 13.2.5.51
    private function commentEndState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === '>') {
            $this->at++;
            $this->emitComment();
        } elseif ($character === '!') {
            $this->at++;
            $this->state = 'commentEndBangState';
        } elseif ($character === '-') {
            $this->at++;
            $this->comment .= '-';
        } elseif ($character === null) {
            $this->endOfFileInComment();
        } else {
            $this->comment .= '--';
            $this->state = 'commentState';
        }
    }

    // 13.2.5.52
    private function commentEndBangState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === '-') {
            $this->at++;
            $this->comment .= '--!';
            $this->state = 'commentEndDashState';
        } elseif ($character === '>') {
            $this->errors->add('incorrectly-closed-comment', $this->at++);
            $this->emitComment();
        } elseif ($character === null) {
            $this->endOfFileInComment();
        } else {
            $this->comment .= '--!';
            $this->state = 'commentState';
        }
    }

    // 13.2.5.53
    private function doctypeState(): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->endOfFileInDoctype();

            return;
        }
        if (strpbrk($character, self::WHITE) !== false) {
            $this->at++;
        } elseif ($character !== '>') {
            $this->errors->add('missing-whitespace-before-doctype-name', $this->at);
        }
        $this->state = 'beforeDoctypeNameState';
    }

    // 13.2.5.54
    private function beforeDoctypeNameState(): void
    {
        $this->at += strspn($this->source, self::WHITE, $this->at);
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->endOfFileInDoctype();
        } elseif ($character === '>') {
            $this->errors->add('missing-doctype-name', $this->at++);
            $this->forceQuirks = true;
            $this->emitDoctype();
        } else {
            $this->doctypeName = '';
            $this->state = 'doctypeNameState';
        }
    }

    // 13.2.5.55
    private function doctypeNameState(): void
    {
        $run = strcspn($this->source, self::WHITE.">\0", $this->at);
        $this->doctypeName .= strtolower($this->decoded($this->at, $this->at + $run));
        $this->at += $run;
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->endOfFileInDoctype();

            return;
        }
        $this->at++;
        if ($character === "\0") {
            $this->errors->add('unexpected-null-character', $this->at - 1);
            $this->doctypeName .= "\u{FFFD}";
        } elseif ($character === '>') {
            $this->emitDoctype();
        } else {
            $this->state = 'afterDoctypeNameState';
        }
    }

    // 13.2.5.56
    private function afterDoctypeNameState(): void
    {
        $this->at += strspn($this->source, self::WHITE, $this->at);
        if ($this->doctypeEnds()) {
            return;
        }
        $keyword = strtolower(substr($this->source, $this->at, 6));
        if ($keyword === 'public' || $keyword === 'system') {
            $this->at += 6;
            $this->state = $keyword === 'public' ? 'afterDoctypePublicKeywordState' : 'afterDoctypeSystemKeywordState';
        } else {
            $this->bogusDoctype('invalid-character-sequence-after-doctype-name');
        }
    }

    // 13.2.5.57 and 13.2.5.58
    private function afterDoctypePublicKeywordState(): void
    {
        $quote = $this->doctypeQuote('public', 'missing-whitespace-after-doctype-public-keyword');
        if ($quote !== null) {
            $this->publicId = $this->doctypeIdentifier($quote, 'abrupt-doctype-public-identifier');
            $this->state = $this->state === '' || $this->state === 'dataState'
                ? $this->state
                : 'afterDoctypePublicIdentifierState';
        }
    }

    // 13.2.5.61 and 13.2.5.62
    private function afterDoctypePublicIdentifierState(): void
    {
        $white = strspn($this->source, self::WHITE, $this->at);
        $this->at += $white;
        if ($this->doctypeEnds()) {
            return;
        }
        $quote = $this->source[$this->at];
        if ($quote !== '"' && $quote !== "'") {
            $this->bogusDoctype('missing-quote-before-doctype-system-identifier');

            return;
        }
        if ($white === 0) {
            $this->errors->add('missing-whitespace-between-doctype-public-and-system-identifiers', $this->at);
        }
        $this->at++;
        $this->readSystemId($quote);
    }

    // 13.2.5.63 and 13.2.5.64
    private function afterDoctypeSystemKeywordState(): void
    {
        $quote = $this->doctypeQuote('system', 'missing-whitespace-after-doctype-system-keyword');
        if ($quote !== null) {
            $this->readSystemId($quote);
        }
    }

    // 13.2.5.65 and 13.2.5.66
    private function readSystemId(string $quote): void
    {
        $this->systemId = $this->doctypeIdentifier($quote, 'abrupt-doctype-system-identifier');
        $this->state = $this->state === '' || $this->state === 'dataState'
            ? $this->state
            : 'afterDoctypeSystemIdentifierState';
    }

    // 13.2.5.67
    private function afterDoctypeSystemIdentifierState(): void
    {
        $this->at += strspn($this->source, self::WHITE, $this->at);
        if (! $this->doctypeEnds()) {
            $this->errors->add('unexpected-character-after-doctype-system-identifier', $this->at);
            $this->state = 'bogusDoctypeState';
        }
    }

    // 13.2.5.68
    private function bogusDoctypeState(): void
    {
        $run = strcspn($this->source, ">\0", $this->at);
        $this->at += $run;
        $character = $this->source[$this->at] ?? null;
        if ($character === "\0") {
            $this->errors->add('unexpected-null-character', $this->at++);

            return;
        }
        $this->at += $character === null ? 0 : 1;
        $this->emitDoctype();
    }

    /** The end of the file or `>` where more of a doctype could stand. */
    private function doctypeEnds(): bool
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->endOfFileInDoctype();
        } elseif ($character === '>') {
            $this->at++;
            $this->emitDoctype();
        }

        return $character === null || $character === '>';
    }

    /** The quote that opens an identifier after a keyword; null when none does. */
    private function doctypeQuote(string $which, string $missingWhite): ?string
    {
        $white = strspn($this->source, self::WHITE, $this->at);
        $this->at += $white;
        $character = $this->source[$this->at] ?? null;
        if ($character === '"' || $character === "'") {
            if ($white === 0) {
                $this->errors->add($missingWhite, $this->at);
            }
            $this->at++;
            $which === 'public' ? $this->publicId = '' : $this->systemId = '';

            return $character;
        }
        if ($character === null) {
            $this->endOfFileInDoctype();
        } elseif ($character === '>') {
            $this->errors->add("missing-doctype-$which-identifier", $this->at++);
            $this->forceQuirks = true;
            $this->emitDoctype();
        } else {
            $this->bogusDoctype("missing-quote-before-doctype-$which-identifier");
        }

        return null;
    }

    /**
     * 13.2.5.59, 13.2.5.60, 13.2.5.65 and 13.2.5.66: an identifier up to its quote; `>` or the end of the file cut it
     * short.
     */
    private function doctypeIdentifier(string $quote, string $abrupt): string
    {
        $identifier = '';
        do {
            $run = strcspn($this->source, "$quote>\0", $this->at);
            $identifier .= $this->decoded($this->at, $this->at + $run);
            $this->at += $run;
            $character = $this->source[$this->at] ?? null;
            if ($character === "\0") {
                $this->errors->add('unexpected-null-character', $this->at++);
                $identifier .= "\u{FFFD}";
            }
        } while ($character === "\0");
        str_contains($abrupt, 'public') ? $this->publicId = $identifier : $this->systemId = $identifier;
        if ($character === null) {
            $this->endOfFileInDoctype();
        } elseif ($character === '>') {
            $this->errors->add($abrupt, $this->at++);
            $this->forceQuirks = true;
            $this->emitDoctype();
        } else {
            $this->at++;
        }

        return $identifier;
    }

    private function bogusDoctype(string $error): void
    {
        $this->errors->add($error, $this->at);
        $this->forceQuirks = true;
        $this->state = 'bogusDoctypeState';
    }

    // 13.2.5.69 to 13.2.5.71
    private function cdataSectionState(): void
    {
        $end = strpos($this->source, ']]>', $this->at);
        $behind = $end === false ? $this->length : $end;
        while ($this->at < $behind) {
            $run = strcspn($this->source, "\0", $this->at, $behind - $this->at);
            $this->emitSource($this->at, $this->at + $run);
            $this->at += $run;
            if ($this->at < $behind) {
                $this->sink->nullCharacter($this->at++);
            }
        }
        if ($end === false) {
            $this->errors->add('eof-in-cdata', $this->length);
        } else {
            $this->at = $end + 3;
        }
        $this->state = 'dataState';
    }

    // 13.2.5.20
    private function scriptDataEscapedState(): void
    {
        $this->escapedText('scriptDataEscapedDashState', 'scriptDataEscapedLessThanSignState');
    }

    // 13.2.5.21
    private function scriptDataEscapedDashState(): void
    {
        $this->escapedCharacter(
            'scriptDataEscapedDashDashState',
            'scriptDataEscapedLessThanSignState',
            'scriptDataEscapedState',
        );
    }

    // 13.2.5.22
    private function scriptDataEscapedDashDashState(): void
    {
        $this->escapedDashDash('scriptDataEscapedLessThanSignState', 'scriptDataEscapedState');
    }

    // 13.2.5.23 to 13.2.5.26: `<` has not been emitted yet
    private function scriptDataEscapedLessThanSignState(): void
    {
        $this->at--;
        if ($this->appropriateEndTag()) {
            return;
        }
        $this->state = 'scriptDataEscapedState';
        if (preg_match('~\G<(script)(?=[ \t\n\r\f/>])~i', $this->source, $match, 0, $this->at) === 1) {
            $this->emitSource($this->at, $this->at + 8);
            $this->at += 8;
            $this->state = 'scriptDataDoubleEscapedState';
        } else {
            $this->emitSource($this->at, $this->at + 1);
            $this->at++;
        }
    }

    // 13.2.5.27
    private function scriptDataDoubleEscapedState(): void
    {
        $this->escapedText('scriptDataDoubleEscapedDashState', 'scriptDataDoubleEscapedLessThanSignState');
    }

    // 13.2.5.28
    private function scriptDataDoubleEscapedDashState(): void
    {
        $this->escapedCharacter(
            'scriptDataDoubleEscapedDashDashState',
            'scriptDataDoubleEscapedLessThanSignState',
            'scriptDataDoubleEscapedState',
        );
    }

    // 13.2.5.29
    private function scriptDataDoubleEscapedDashDashState(): void
    {
        $this->escapedDashDash('scriptDataDoubleEscapedLessThanSignState', 'scriptDataDoubleEscapedState');
    }

    // 13.2.5.30 and 13.2.5.31: `<` has not been emitted yet
    private function scriptDataDoubleEscapedLessThanSignState(): void
    {
        $ends = preg_match('~\G/script[ \t\n\r\f/>]~i', $this->source, $match, 0, $this->at) === 1;
        $length = $ends ? strlen($match[0]) : 0;
        $this->emitSource($this->at - 1, $this->at + $length);
        $this->at += $length;
        $this->state = $ends ? 'scriptDataEscapedState' : 'scriptDataDoubleEscapedState';
    }

    private function escapedText(string $dash, string $lessThan): void
    {
        $run = strcspn($this->source, "-<\0", $this->at);
        $this->emitSource($this->at, $this->at + $run);
        $this->at += $run;
        $this->escapedCharacter($dash, $lessThan, $this->state);
    }

    private function escapedDashDash(string $lessThan, string $otherwise): void
    {
        if (($this->source[$this->at] ?? null) === '>') {
            $this->emitSource($this->at, $this->at + 1);
            $this->at++;
            $this->state = 'scriptDataState';

            return;
        }
        $this->escapedCharacter($this->state, $lessThan, $otherwise);
    }

    private function escapedCharacter(string $dash, string $lessThan, string $otherwise): void
    {
        $character = $this->source[$this->at] ?? null;
        if ($character === null) {
            $this->errors->add('eof-in-script-html-comment-like-text', $this->at);
            $this->emitEndOfFile();
        } elseif ($character === '-') {
            $this->emitSource($this->at, $this->at + 1);
            $this->at++;
            $this->state = $dash;
        } elseif ($character === '<') {
            $this->at++;
            $this->state = $lessThan;
        } elseif ($character === "\0") {
            $this->emitReplacement();
            $this->state = $otherwise;
        } else {
            $this->emitSource($this->at, $this->at + 1);
            $this->at++;
            $this->state = $otherwise;
        }
    }

    /** Reads a tag that is written as it should be at a stretch; leaves any other to the states, and all as it was. */
    private function wholeTag(): bool
    {
        $start = $this->at;
        $isEnd = ($this->source[$start + 1] ?? '') === '/';
        $nameStart = $start + ($isEnd ? 2 : 1);
        $at = $nameStart + strcspn($this->source, self::WHITE."/>\0", $nameStart);
        $writtenName = substr($this->source, $nameStart, $at - $nameStart);
        $name = $this->names[$writtenName] ?? $this->knownName($writtenName);
        if ($name === null) {
            return false;
        }
        $written = [];
        $character = $this->source[$at] ?? '';
        if ($character !== '>') {
            $written = $isEnd || $character === '/' ? [] : $this->writtenAttributes($at);
            $at = $written === [] ? $at : $written[count($written) - 1][1];
            $at += strspn($this->source, self::WHITE, $at);
            $character = $this->source[$at] ?? '';
        }
        $isClosed = ! $isEnd && $character === '/';
        if (($isClosed ? $this->source[$at + 1] ?? '' : $character) !== '>') {
            return false;
        }
        $this->at = $at + ($isClosed ? 2 : 1);
        if ($isEnd) {
            if (! $this->sink->closesCurrent($name, $start, $this->at)) {
                $this->sink->endTag(new Tag($name, true, $start, $this->at));
            }

            return true;
        }
        $this->lastStartTag = $name;
        $attributes = $written === [] ? [] : $this->readAttributes($written);
        $this->sink->startTag(new Tag($name, false, $start, $this->at, $attributes, $isClosed));

        return true;
    }

    /** A tag's name in lower case; null for one that is left to the states. */
    private function knownName(string $written): ?string
    {
        return preg_match(self::NAME, $written) === 1 ? $this->names[$written] = strtolower($written) : null;
    }

    /**
     * The attributes from an offset on, as far as they are written as they should be.
     *
     * @return list<array{list<string>, int}> the groups of `ATTRIBUTE`, and the offset behind them
     */
    private function writtenAttributes(int $at): array
    {
        $written = [];
        while (preg_match(self::ATTRIBUTE, $this->source, $match, 0, $at) === 1) {
            $at += strlen($match[0]);
            $written[] = [$match, $at];
        }

        return $written;
    }

    /**
     * @param  non-empty-list<array{list<string>, int}>  $written
     * @return array<string, Attribute>
     */
    private function readAttributes(array $written): array
    {
        $attributes = [];
        foreach ($written as [$match, $end]) {
            $nameStart = $end - strlen($match[0]) + strspn($match[0], self::WHITE);
            $nameEnd = $nameStart + strlen($match[1]);
            $name = $this->attributeNames[$match[1]] ??= strtolower($match[1]);
            if (isset($attributes[$name])) {
                $this->errors->add('duplicate-attribute', $nameEnd);
            }
            if (! isset($match[2])) {
                $attributes[$name] ??= new Attribute($name, '', $nameStart, $nameEnd);

                continue;
            }
            // The last group is the one that matched; a quoted value has its quote behind it.
            $value = $match[4] ?? $match[3] ?? $match[2];
            $valueEnd = isset($match[4]) ? $end : $end - 1;
            $valueStart = $valueEnd - strlen($value);
            $text = $this->wholeValue($value, $valueStart);
            $attributes[$name] ??= new Attribute($name, $text, $nameStart, $nameEnd, $valueStart, $valueEnd);
        }

        return $attributes;
    }

    private function wholeValue(string $value, int $at): string
    {
        if (strpbrk($value, "&\r") === false) {
            return $value;
        }
        $end = $at + strlen($value);
        $text = '';
        while ($at < $end) {
            $run = strcspn($this->source, '&', $at, $end - $at);
            $text .= $this->decoded($at, $at + $run);
            $at += $run;
            if ($at < $end) {
                [$piece, $at] = $this->references->read($at, true);
                $text .= $piece;
            }
        }

        return $text;
    }

    private function beginTag(int $start, bool $isEnd): void
    {
        $this->tokenStart = $start;
        $this->isEndTag = $isEnd;
        $this->tagName = '';
        $this->selfClosing = false;
        $this->attributes = [];
        $this->nameEnd = null;
    }

    /** @param  int|null  $valueStart where the value begins that ends here; null for none */
    private function keepAttribute(string $value, ?int $valueStart = null): void
    {
        if (! $this->isDuplicate && $this->nameEnd !== null) {
            $this->attributes[$this->attributeName] = new Attribute(
                $this->attributeName,
                $value,
                $this->nameStart,
                $this->nameEnd,
                $valueStart,
                $valueStart === null ? null : $this->at,
            );
        }
        if ($valueStart !== null) {
            $this->nameEnd = null;
        }
    }

    private function emitTag(): void
    {
        $this->state = 'dataState';
        if (! $this->isEndTag) {
            $this->lastStartTag = $this->tagName;
            $this->sink->startTag(new Tag(
                $this->tagName,
                false,
                $this->tokenStart,
                $this->at,
                $this->attributes,
                $this->selfClosing,
            ));

            return;
        }
        if ($this->attributes !== []) {
            $this->errors->add('end-tag-with-attributes', $this->at - 1);
        }
        if ($this->selfClosing) {
            $this->errors->add('end-tag-with-trailing-solidus', $this->at - 1);
        }
        $this->sink->endTag(new Tag($this->tagName, true, $this->tokenStart, $this->at));
    }

    private function beginComment(int $start): void
    {
        $this->tokenStart = $start;
        $this->comment = '';
    }

    private function emitComment(): void
    {
        $this->state = 'dataState';
        $this->sink->comment($this->comment, $this->tokenStart, $this->at);
    }

    private function endOfFileInComment(): void
    {
        $this->errors->add('eof-in-comment', $this->at);
        $this->emitComment();
    }

    private function emitDoctype(): void
    {
        $this->state = 'dataState';
        $this->sink->doctype(new DoctypeToken(
            $this->doctypeName,
            $this->publicId,
            $this->systemId,
            $this->forceQuirks,
            $this->tokenStart,
            $this->at,
        ));
    }

    private function endOfFileInDoctype(): void
    {
        $this->errors->add('eof-in-doctype', $this->at);
        $this->forceQuirks = true;
        $this->emitDoctype();
    }

    private function endOfFileInTag(): void
    {
        $this->at = $this->length;
        $this->errors->add('eof-in-tag', $this->length);
        $this->emitEndOfFile();
    }

    private function emitEndOfFile(): void
    {
        $this->state = '';
        $this->sink->endOfFile($this->length);
    }

    private function emitReference(): void
    {
        $start = $this->at;
        [$text, $this->at] = $this->references->read($start, false);
        $this->sink->characters($text, $start, $this->at);
    }

    private function emitReplacement(): void
    {
        $this->errors->add('unexpected-null-character', $this->at);
        $this->sink->characters("\u{FFFD}", $this->at, $this->at + 1);
        $this->at++;
    }

    private function emitSource(int $start, int $end): void
    {
        if ($end > $start) {
            $this->sink->characters($this->decoded($start, $end), $start, $end);
        }
    }

    /** A piece of the source as text, with newlines normalised. */
    private function decoded(int $start, int $end): string
    {
        $text = substr($this->source, $start, $end - $start);

        return str_contains($text, "\r") ? str_replace(["\r\n", "\r"], "\n", $text) : $text;
    }
}
