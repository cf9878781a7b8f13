<?php

declare(strict_types=1);

namespace App\Replies\Lessons;

use App\Feedback\QuotedLine;
use App\Replies\ReplyMarkdown;

/** A handout as Markdown. */
final readonly class LessonMarkdown
{
    public static function render(Lesson $lesson): string
    {
        return implode("\n\n", [
            '# '.ReplyMarkdown::plain("Next lesson: $lesson->assignment"),
            ReplyMarkdown::plain($lesson->course),
            ...array_map(self::page(...), $lesson->pages),
        ])."\n";
    }

    private static function page(LessonPage $page): string
    {
        return implode("\n\n", [
            '## '.ReplyMarkdown::plain($page->title),
            "### What was written\n\nIn {$page->handIns} ".($page->handIns === 1 ? 'hand-in' : 'hand-ins').'.',
            ...array_map(self::quote(...), $page->written),
            ReplyMarkdown::plain($page->message),
            '### Why it matters',
            ReplyMarkdown::plain($page->why),
            '### How it should be',
            ReplyMarkdown::plain($page->remedy),
            '### An example',
            'Wrong:',
            ReplyMarkdown::fenced($page->bad, 'html'),
            'Right:',
            ReplyMarkdown::fenced($page->good, 'html'),
            ReplyMarkdown::plain("Source: $page->source."),
        ]);
    }

    private static function quote(LessonQuote $quote): string
    {
        $lines = array_map(fn (QuotedLine $line) => $line->before.$line->meant.$line->after, $quote->lines);

        return ReplyMarkdown::plain("`$quote->file`").($lines === [] ? '' : "\n\n".ReplyMarkdown::fenced(
            implode("\n", $lines),
            'html',
        ));
    }
}
