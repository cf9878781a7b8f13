<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Student;
use Illuminate\Support\Collection;
use InkedMargin\Core\Source\NearestName;
use Normalizer;

/** Tells from the names of an archive and its folders whose it is, or who may be meant. */
final readonly class StudentMatcher
{
    /** Words that hand-ins are named by, and that tell nobody (common practice). */
    private const GENERIC = [
        'assignment', 'attempt', 'class', 'code', 'copy', 'course', 'css', 'done', 'draft', 'drill', 'exercise',
        'export', 'file',
        'files', 'final', 'finished', 'folder', 'hand', 'home', 'homepage', 'homework', 'html', 'images', 'index',
        'last', 'main',
        'module', 'new', 'old', 'page', 'pages', 'part', 'portfolio', 'practice', 'project', 'public', 'root', 'school',
        'second',
        'site', 'sites', 'src', 'student', 'style', 'styles', 'submission', 'task', 'test', 'the', 'unit', 'untitled',
        'upload',
        'version', 'web', 'webpage', 'webpages', 'website', 'websites', 'week', 'work', 'www', 'zip',
    ];

    /**
     * @param  Collection<int, Student>  $students  of the course
     * @param  array<string, list<string>>  $learned  ids of students by words that were matched to them by hand
     */
    public function __construct(private Collection $students, private array $learned = [])
    {
    }

    /**
     * The one student whose handle, e-mail address or whole name (in either order) stands in one of the names, or who
     * was meant by one of its words before; nobody when two could be meant.
     */
    public function match(string ...$names): ?Student
    {
        $text = '-'.implode('-', array_map(self::plain(...), $names)).'-';
        $words = array_fill_keys(self::words(...$names), true);
        $has = fn (string $name) => $name !== '' && str_contains($text, '-'.self::plain($name).'-');
        $ways = [
            fn (Student $student) => $has($student->handle),
            fn (Student $student) => $student->email !== '' && ($has($student->email) || $has(
                explode('@', $student->email)[0],
            )),
            fn (Student $student) => self::allIn(self::words($student->name), $words),
        ];
        foreach ($ways as $isMeant) {
            $meant = $this->students->filter($isMeant);
            if ($meant->isNotEmpty()) {
                return $meant->count() === 1 ? $meant->first() : null;
            }
        }

        return $this->remembered($words, ...$names);
    }

    /**
     * Who was meant by one of the words before, unless another word is nearly somebody else's name.
     *
     * @param  array<array-key, true>  $words
     */
    private function remembered(array $words, string ...$names): ?Student
    {
        $ids = [];
        foreach (array_keys($words) as $word) {
            $ids += array_fill_keys($this->learned[(string) $word] ?? [], true);
        }
        if (count($ids) !== 1) {
            return null;
        }
        $meant = $this->students->firstWhere('id', array_key_first($ids));
        $given = array_filter(
            self::words(...$names),
            fn (string $word) => ! isset($this->learned[$word]) && mb_strlen($word) > 2,
        );
        $others = $this->students->filter(fn (Student $one) => $one !== $meant && $this->distance($one, $given) <= 1);

        return $others->isEmpty() ? $meant : null;
    }

    /** @return Collection<int, Student> at most three who may be meant, the likeliest first */
    public function likely(string ...$names): Collection
    {
        $given = array_filter(self::words(...$names), fn (string $word) => mb_strlen($word) > 2);

        return $this->students
            ->map(fn (Student $student) => [$student, $this->distance($student, $given)])
            ->filter(fn (array $pair) => $pair[1] <= 2)
            ->sortBy(fn (array $pair) => $pair[1])
            ->take(3)
            ->map(fn (array $pair) => $pair[0])
            ->values();
    }

    /**
     * Words of names that may stand for their student the next time: those that are no part of anybody's own
     * name, and not what every hand-in is called.
     *
     * @return list<string>
     */
    public function telling(string ...$names): array
    {
        $known = array_fill_keys(self::GENERIC, true);
        foreach ($this->students as $student) {
            $known += array_fill_keys(self::words($student->handle, $student->name, $student->email), true);
        }

        return array_values(array_filter(
            array_unique(self::words(...$names)),
            fn (string $word) => mb_strlen($word) > 2 && mb_strlen($word) <= 100 && ! isset($known[$word]),
        ));
    }

    /**
     * @param  list<string>  $parts
     * @param  array<array-key, true>  $words
     */
    private static function allIn(array $parts, array $words): bool
    {
        return count($parts) > 1 && array_filter($parts, fn (string $part) => ! isset($words[$part])) === [];
    }

    /** @param  array<string>  $given */
    private function distance(Student $student, array $given): int
    {
        $least = 3;
        foreach (self::words($student->handle, $student->name) as $word) {
            foreach (mb_strlen($word) > 2 ? $given : [] as $other) {
                $least = min($least, NearestName::distance($word, $other, 3));
            }
        }

        return $least;
    }

    /** @return list<string> */
    private static function words(string ...$names): array
    {
        return array_values(array_filter(
            explode('-', implode('-', array_map(self::plain(...), $names))),
            fn (string $word) => $word !== '',
        ));
    }

    /** Lower case, composed (as not every system writes names), with a hyphen for whatever is no letter or digit. */
    private static function plain(string $name): string
    {
        $composed = Normalizer::normalize($name, Normalizer::FORM_C);

        return trim(
            preg_replace('/[^\p{L}\p{M}\p{N}]+/u', '-', mb_strtolower($composed === false ? $name : $composed)) ?? '',
            '-',
        );
    }
}
