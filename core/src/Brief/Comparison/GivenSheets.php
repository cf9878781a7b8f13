<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief\Comparison;

use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\Sheet;
use InkedMargin\Core\Source\English;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;

/**
 * The sheets that an assignment gives, held against those of a hand-in word by word: white space and line ends do not
 * matter.
 */
final readonly class GivenSheets
{
    private const SHOWN = 60;

    private const WHITE = " \t\r\n\f";

    /** @return list<Shortfall> one for each that is not there, or is changed */
    public static function shortfalls(ParsedSite $site, Materials $materials): array
    {
        $shortfalls = [];
        foreach ($materials->parsedSheets() as $given) {
            $there = self::in($site, $given->path());
            $shortfalls[] = $there === null ? self::missing($given->path()) : self::changed($there->file, $given->file);
        }

        return array_values(array_filter($shortfalls));
    }

    /**
     * @return array<string, true> the paths of a hand-in's sheets that are as they were given: what is wrong in them is
     *     not the student's
     */
    public static function unchanged(ParsedSite $site, Materials $materials): array
    {
        $paths = [];
        foreach ($materials->parsedSheets() as $given) {
            foreach ($site->sheets as $path => $sheet) {
                if (
                    basename($path) === basename($given->path())
                    && self::firstChange($sheet->file, $given->file) === null
                ) {
                    $paths[$path] = true;
                }
            }
        }

        return $paths;
    }

    /** The sheet at the same path, or the only one of that name in another folder. */
    private static function in(ParsedSite $site, string $path): ?Sheet
    {
        $named = array_filter($site->sheets, fn (Sheet $sheet) => basename($sheet->path()) === basename($path));

        return $site->sheets[$path] ?? (count($named) === 1 ? reset($named) : null);
    }

    private static function missing(string $path): Shortfall
    {
        return Shortfall::of(
            Draft::in($path, null, Span::at(0), "given:$path")
                ->variant('given-missing')
                ->mark(ProofMark::Insert)
                ->says("The stylesheet `$path` was given with the assignment, and it is missing.")
                ->remedy("Add `$path` as it was given.")
                ->about(Subject::file($path)),
        )->item("given $path");
    }

    private static function changed(SourceFile $file, SourceFile $given): ?Shortfall
    {
        $change = self::firstChange($file, $given);
        if ($change === null) {
            return null;
        }
        $is = English::excerpt($change->is, self::SHOWN);
        $was = English::excerpt($change->was, self::SHOWN);

        return Shortfall::of(
            self::draft($file, $change->span, $given, $is, $was),
        )->item("given $given->path");
    }

    private static function draft(SourceFile $file, Span $span, SourceFile $given, string $is, string $was): Draft
    {
        return Draft::in($file->path, $file, $span, "given:$given->path")
            ->variant('given-changed')
            ->mark(ProofMark::Change)
            ->says(match (true) {
                $was === '' => "`$is` was added to a stylesheet that was to stay as it was given.",
                $is === '' => "The end of the stylesheet as it was given is missing, from `$was` on.",
                default => "This stylesheet was to stay as it was given; the first change is `$is` for `$was`.",
            })
            ->remedy("Put `$given->path` back as it was given, and write your own rules in your own stylesheet.")
            ->about(Subject::file($file->path));
    }

    private static function firstChange(SourceFile $file, SourceFile $given): ?FirstChange
    {
        [$is, $was] = [$file->bytes, $given->bytes];
        $at = $from = 0;
        do {
            $at += strspn($is, self::WHITE, $at);
            $from += strspn($was, self::WHITE, $from);
            $word = substr($is, $at, strcspn($is, self::WHITE, $at));
            $wanted = substr($was, $from, strcspn($was, self::WHITE, $from));
            if ($word !== $wanted) {
                return new FirstChange(new Span($at, $at + strlen($word)), $word, $wanted);
            }
            $at += strlen($word);
            $from += strlen($wanted);
        } while ($word !== '');

        return null;
    }
}
