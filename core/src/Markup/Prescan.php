<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup;

use InkedMargin\Core\Source\Span;

/**
 * Looks through the first bytes of a page for a declaration of its encoding, before any of it is parsed.
 *
 * Source: HTML Standard, 13.2.3.2 "prescan a byte stream to determine its encoding", "get an attribute" and "extracting
 * a character encoding from a meta element" (2.8 "URLs", under "Character encodings"). The XML declaration is not
 * looked at.
 */
final readonly class Prescan
{
    public const BYTES = 1024;

    private const WHITE = " \t\n\f\r";

    private const ATTRIBUTE = '~\G[ \t\n\f\r/]*+([^ \t\n\f\r/>=][^ \t\n\f\r/>=]*+)(?:[ \t\n\f\r]*+=[ \t\n\f\r]*+(?:"([^"]*+)"|\'([^\']*+)\'|([^ \t\n\f\r>"\'][^ \t\n\f\r>]*+)?))?~';

    public static function declaration(string $bytes): ?EncodingDeclaration
    {
        $head = substr($bytes, 0, self::BYTES);
        $length = strlen($head);
        for ($at = strcspn($head, '<'); $at < $length; $at += strcspn($head, '<', $at)) {
            if (substr_compare($head, '<!--', $at, 4) === 0) {
                $end = strpos($head, '-->', $at + 2);
                $at = $end === false ? $length : $end + 3;
            } elseif (preg_match('~\G<meta(?=[ \t\n\f\r/])~i', $head, $match, 0, $at) === 1) {
                $tag = self::tagAt($head, $at + 5);
                $at = $tag->end;
                $declaration = self::ofMeta($tag->attributes);
                if ($declaration !== null) {
                    return $declaration;
                }
            } elseif (preg_match('~\G</?[a-z]~i', $head, $match, 0, $at) === 1) {
                $at = self::tagAt($head, $at + strcspn($head, self::WHITE.'>', $at))->end;
            } elseif (in_array($head[$at + 1] ?? '', ['!', '/', '?'], true)) {
                $at += strcspn($head, '>', $at);
            } else {
                $at++;
            }
        }

        return null;
    }

    private static function tagAt(string $head, int $at): PrescannedTag
    {
        $attributes = [];
        while (preg_match(self::ATTRIBUTE, $head, $match, PREG_OFFSET_CAPTURE, $at) === 1) {
            $value = $match[4] ?? $match[3] ?? $match[2] ?? ['', $at];
            $attributes[strtolower($match[1][0])] ??= [$value[0], $value[1]];
            $at += strlen($match[0][0]);
        }

        return new PrescannedTag($attributes, $at + strcspn($head, '>', $at));
    }

    /** @param  array<string, array{string, int}>  $attributes */
    private static function ofMeta(array $attributes): ?EncodingDeclaration
    {
        if (isset($attributes['charset'])) {
            return self::read(...$attributes['charset']);
        }
        if (strtolower($attributes['http-equiv'][0] ?? '') !== 'content-type' || ! isset($attributes['content'])) {
            return null;
        }
        [$content, $start] = $attributes['content'];
        if (preg_match(
            '~charset[ \t\n\f\r]*+=[ \t\n\f\r]*+(?|"([^"]*+)"|\'([^\']*+)\'|([^"\' \t\n\f\r;][^ \t\n\f\r;]*+))~i',
            $content,
            $match,
            PREG_OFFSET_CAPTURE,
        ) !== 1) {
            return null;
        }

        return self::read($match[1][0], $start + $match[1][1]);
    }

    private static function read(string $label, int $at): ?EncodingDeclaration
    {
        $name = FileEncoding::named($label);

        return $name === null ? null : new EncodingDeclaration(
            $label,
            new Span($at, $at + strlen($label)),
            match ($name) {
                'UTF-16BE', 'UTF-16LE' => 'UTF-8',
                'x-user-defined' => 'windows-1252',
                default => $name,
            },
        );
    }
}
