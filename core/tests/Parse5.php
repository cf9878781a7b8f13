<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests;

use InkedMargin\Core\Markup\MarkupError;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Report\TreeText;
use InkedMargin\Core\Source\SourceFile;

/** parse5 (npm) as the reference for how a page is read. */
final class Parse5
{
    /**
     * What parse5 8.1.1 (npm) makes of some pages, in the form that `oursOf()` gives ours.
     *
     * @param  array<string, string>  $pages  paths of files by name
     * @return array<string, array{tree: string, errors: list<string>}>
     */
    public static function reads(array $pages): array
    {
        $out = (string) tempnam(sys_get_temp_dir(), 'parse5');
        $node = proc_open(
            ['node', __DIR__.'/Outside/parse5.mjs'],
            [['pipe', 'r'], ['file', $out, 'w'], STDERR],
            $pipes,
            __DIR__,
        );
        fwrite($pipes[0], implode("\n", $pages));
        fclose($pipes[0]);
        proc_close($node);
        $seen = [];
        foreach (file($out) as $line) {
            $page = json_decode($line, true, flags: JSON_THROW_ON_ERROR);
            $seen[(string) array_search($page['file'], $pages, true)] = [
                'tree' => $page['tree'],
                'errors' => self::tokenizerErrors($page['errors']),
            ];
        }
        unlink($out);

        return $seen;
    }

    /** @return array{tree: string, errors: list<string>} */
    public static function oursOf(string $page): array
    {
        $file = new SourceFile('page.html', $page);
        $document = MarkupReader::read($file);
        $errors = array_map(function (MarkupError $error) use ($file): string {
            $at = $file->position($error->offset);

            return "$at->line:$at->column $error->code";
        }, $document->errors);

        return ['tree' => TreeText::render($document), 'errors' => self::tokenizerErrors($errors)];
    }

    /**
     * Only those whose code the standard itself gives (13.2.2), in a fixed order; the tree builder's are every parser's
     * own.
     *
     * @param  list<string>  $errors
     * @return list<string>
     */
    private static function tokenizerErrors(array $errors): array
    {
        $own = '/ (missing-doctype$|non-conforming-doctype|misplaced-|end-tag-without-matching|closing-of-element|open-elements-left|abandoned-head|nested-(?!comment)|disallowed-content|eof-in-element|foster-|start-tag-after|end-tag-after|text-|image-|hidden-input|form-in-table|cell-without|html-)/';
        $errors = array_values(preg_grep($own, $errors, PREG_GREP_INVERT));
        sort($errors);

        return $errors;
    }
}
