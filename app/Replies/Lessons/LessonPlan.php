<?php

declare(strict_types=1);

namespace App\Replies\Lessons;

use App\Feedback\NewestFindings;
use App\Feedback\QuoteReader;
use App\Models\Assignment;
use App\Models\Finding;
use App\Models\Student;
use App\Storage\BlobStore;
use InkedMargin\Core\Rules\Catalogue;

/** Makes a handout of slips that a class has in common. */
final readonly class LessonPlan
{
    /** So many slips fit into a lesson. */
    public const MOST = 12;

    /** So many examples of each, from as many hand-ins. */
    private const EXAMPLES = 3;

    /** Lines before and after each example. */
    private const AROUND = 1;

    public function __construct(private BlobStore $blobs)
    {
    }

    /** @param  list<string>  $kinds  `rule` or `rule,variant` of each; what the class does not have is left out */
    public function of(Assignment $assignment, array $kinds): Lesson
    {
        $pages = array_map(function (string $kind) use ($assignment): ?LessonPage {
            [$rule, $variant] = [...explode(',', $kind, 2), ''];

            return $this->page($assignment, $rule, $variant);
        }, array_slice(array_values(array_unique($kinds)), 0, self::MOST));

        return new Lesson($assignment->course->title, $assignment->title, array_values(array_filter($pages)));
    }

    private function page(Assignment $assignment, string $id, string $variant): ?LessonPage
    {
        $rule = Catalogue::rule($id);
        // The shortest places make the plainest examples; one of each student.
        $found = NewestFindings::withFiles(NewestFindings::inClass($assignment->id, $id, $variant))
            ->distinct('h.student_id')
            ->select(['findings.*', 'h.student_id', 'files.sha256'])
            ->orderBy('h.student_id')
            ->orderByRaw('files.sha256 is null, end_offset = 0, end_offset - start_offset, position')
            ->get();
        $first = $found->first();
        if ($rule === null || $first === null) {
            return null;
        }
        $examples = $found->sortBy(
            fn (Finding $one) => [$one->isAboutWholeFile(), $one->end_offset - $one->start_offset],
        )
            ->unique(fn (Finding $one) => $one->message)->take(self::EXAMPLES);
        $students = Student::query()->findMany($examples->map(self::student(...))->all());
        $off = fn (Finding $one) => Anonymizer::of($students->findOrFail(self::student($one)));
        $quotes = new QuoteReader($this->blobs);
        $written = $examples->map(fn (Finding $one) => new LessonQuote(
            $off($one)->in($one->file),
            $off($one)->inLines($quotes->at($one, self::AROUND)),
        ));
        $plainest = $examples->first() ?? $first;
        $words = $off($plainest);
        $example = $rule->example(explode('@', $variant)[0]);

        return new LessonPage(
            $id,
            $variant,
            $rule->title,
            $found->count(),
            array_values($written->all()),
            $words->in($plainest->message),
            $rule->facts->why,
            $words->in($plainest->remedy),
            $example->badExcerpt(),
            $example->goodExcerpt(),
            $rule->facts->source->text,
        );
    }

    private static function student(Finding $finding): string
    {
        $id = $finding->getAttribute('student_id');

        return is_string($id) ? $id : '';
    }
}
