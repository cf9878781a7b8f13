<?php

declare(strict_types=1);

namespace App\Http\Replies;

use App\Http\Shared\Controller;
use App\Models\Assignment;
use App\Printing\Pdf;
use App\Printing\PrintFont;
use App\Replies\Lessons\Lesson;
use App\Replies\Lessons\LessonMarkdown;
use App\Replies\Lessons\LessonPlan;
use App\Storage\Download;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** A handout of slips that a class has in common, for the next lesson. */
final class LessonController extends Controller
{
    public function __construct(private readonly LessonPlan $plan)
    {
    }

    #[OA\Get(
        path: '/api/assignments/{assignment}/lesson',
        operationId: 'lesson',
        parameters: [new OA\Parameter(
            name: 'kinds[]',
            description: '`rule` or `rule,variant` of each slip',
            in: 'query',
            schema: new OA\Schema(type: 'array', items: new OA\Items(type: 'string')),
        )],
        responses: [new OA\Response(response: 200, description: 'OK', content: new OA\JsonContent(ref: Lesson::class))],
    )]
    public function show(LessonRequest $request, Assignment $assignment): JsonResponse
    {
        return response()->json($this->plan->of($assignment->load('course'), $request->kinds()));
    }

    #[OA\Get(
        path: '/api/assignments/{assignment}/lesson.{ending}',
        operationId: 'lessonFile',
        responses: [
            new OA\Response(response: 200, description: 'As Markdown, one HTML page, or PDF'),
            new OA\Response(response: 202, description: 'It is being printed'),
        ],
    )]
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
