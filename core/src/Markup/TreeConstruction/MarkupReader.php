<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

use InkedMargin\Core\Markup\Document;
use InkedMargin\Core\Markup\FileEncoding;
use InkedMargin\Core\Markup\OriginalOffsets;
use InkedMargin\Core\Markup\Parser\Errors;
use InkedMargin\Core\Markup\Parser\Tokenizer;
use InkedMargin\Core\Source\GarbageCollector;
use InkedMargin\Core\Source\OverLimit;
use InkedMargin\Core\Source\SourceFile;

/**
 * Reads a page as a browser does (HTML Standard, 13.2). Every run of bytes is some document; it fails only where one is
 * larger than `CheckLimits` has it.
 */
final readonly class MarkupReader
{
    /** Control characters but for white space and NUL, and noncharacters (Infra Standard), in UTF-8. */
    private const PROBLEMATIC = '/[\x01-\x08\x0b\x0e-\x1f\x7f]|\xc2[\x80-\x9f]|\xef\xb7[\x90-\xaf]|\xef\xbf[\xbe\xbf]|\xf0[\x9f\xaf\xbf]\xbf[\xbe\xbf]|[\xf1-\xf3][\x8f\x9f\xaf\xbf]\xbf[\xbe\xbf]|\xf4\x8f\xbf[\xbe\xbf]/';

    /** @throws OverLimit */
    public static function read(SourceFile $file): Document
    {
        $encoding = FileEncoding::of($file->bytes);
        $unreadable = $encoding->isUtf8() ? $file->firstInvalidByte() : null;
        $source = $encoding->isUtf8() && $unreadable === null
            ? $file
            : new SourceFile(
                $file->path,
                $encoding->decode($file->bytes),
                (new OriginalOffsets($file->bytes, $encoding))->of(...),
            );

        return self::build(new Document($source, $encoding, $unreadable ?? self::firstReplacement($source, $file)));
    }

    /**
     * Reads a text that was made from that of a document which was read before, and is UTF-8 as it was.
     *
     * @throws OverLimit
     */
    public static function reread(SourceFile $source, Document $before): Document
    {
        $unreadable = $before->firstUnreadable === null ? false : strpos($source->bytes, "\u{FFFD}");

        return self::build(new Document(
            $source,
            $before->encoding,
            $unreadable === false ? $before->firstUnreadable : $unreadable,
        ));
    }

    private static function build(Document $document): Document
    {
        $errors = new Errors;
        $builder = new TreeBuilder($errors, $document);
        $tokenizer = new Tokenizer($document->source->bytes, $builder, $errors);
        $builder->attach($tokenizer);
        self::reportProblematicCharacters($document->source->bytes, $errors);
        // Every node points to its parent, and nothing becomes garbage while a tree grows: looking for it takes half
        // the time.
        GarbageCollector::disabledDuring($tokenizer->run(...));
        $builder->release();
        $document->errors = $errors->sorted();
        $document->size = $builder->size();

        return $document;
    }

    /** Where the first character stands that decoding could not read; null when it read all, or had nothing to do. */
    private static function firstReplacement(SourceFile $source, SourceFile $file): ?int
    {
        $at = $source === $file ? false : strpos($source->bytes, "\u{FFFD}");

        return $at === false ? null : $at;
    }

    /** 13.2.3.5, "preprocessing the input stream". */
    private static function reportProblematicCharacters(string $bytes, Errors $errors): void
    {
        for ($at = 0; preg_match(
            self::PROBLEMATIC,
            $bytes,
            $match,
            PREG_OFFSET_CAPTURE,
            $at,
        ) === 1; $at = $match[0][1] + strlen($match[0][0])) {
            $isControl = strlen($match[0][0]) <= 2;
            $errors->add(
                $isControl ? 'control-character-in-input-stream' : 'noncharacter-in-input-stream',
                $match[0][1],
            );
        }
    }
}
