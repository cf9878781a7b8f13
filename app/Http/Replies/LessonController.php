<?php

declare(strict_types=1);

namespace App\Http\Replies;

use App\Description\Sends;
use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Printing\Pdf;
use App\Printing\PrintFont;
use App\Replies\Lessons\Lesson;
use App\Replies\Lessons\LessonMarkdown;
use App\Replies\Lessons\LessonPlan;
use App\Storage\Download;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** A handout of slips that a class has in common, for the next lesson. */
final class LessonController extends Controller
{
    public function __construct(private readonly LessonPlan $plan)
    {
    }

    public function show(LessonRequest $request, Assignment $assignment): Lesson
    {
        return $this->plan->of($assignment->load('course'), $request->kinds());
    }

    #[Sends('text/markdown')]
    #[Sends('application/json', 202)]
    public function file(LessonRequest $request, Assignment $assignment, string $ending): Response
    {
        $lesson = $this->plan->of($assignment->load('course'), $request->kinds());
        $name = 'lesson-'.(Str::slug($assignment->title) ?: 'next');
        $html = fn (string $font) => view('lesson', ['lesson' => $lesson, 'font' => $font])->render();

        return match ($ending) {
            'md' => Download::of(LessonMarkdown::render($lesson), 'text/markdown; charset=utf-8', "$name.md"),
            'html' => Download::of($html(''), 'text/html; charset=utf-8', "$name.html"),
            default => Pdf::of($html(PrintFont::rule()), $name),
        };
    }
}
