<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Student;
use Illuminate\Support\Collection;
use InkedMargin\Core\Source\NearestName;

/** Tells from the names of an archive and its folder whose it is, or who may be meant. */
final readonly class StudentMatcher
{
    /** @param  Collection<int, Student>  $students of the course */
    public function __construct(private Collection $students)
    {
    }

    /** The one student whose handle, or whole name, stands in one of the names; nobody when two could be meant. */
    public function match(string ...$names): ?Student
    {
        $words = $this->words(...$names);
        $matching = $this->students->filter(fn (Student $student) => str_contains(
            $words,
            '-'.self::plain($student->handle).'-',
        ));
        if ($matching->isEmpty()) {
            $matching = $this->students->filter(fn (Student $student) => str_contains(
                $words,
                '-'.self::plain($student->name).'-',
            ));
        }

        return $matching->count() === 1 ? $matching->first() : null;
    }

    /** @return Collection<int, Student> at most three who may be meant, the likeliest first */
    public function likely(string ...$names): Collection
    {
        $given = array_filter(explode('-', $this->words(...$names)), fn (string $word) => strlen($word) > 2);

        return $this->students
            ->map(fn (Student $student) => [$student, $this->distance($student, $given)])
            ->filter(fn (array $pair) => $pair[1] <= 2)
            ->sortBy(fn (array $pair) => $pair[1])
            ->take(3)
            ->map(fn (array $pair) => $pair[0])
            ->values();
    }

    /** @param  array<string>  $given */
    private function distance(Student $student, array $given): int
    {
        $least = 3;
        foreach (explode('-', self::plain($student->handle.' '.$student->name)) as $word) {
            foreach (strlen($word) > 2 ? $given : [] as $other) {
                $least = min($least, NearestName::distance($word, $other, 3));
            }
        }

        return $least;
    }

    private function words(string ...$names): string
    {
        return '-'.implode('-', array_map(self::plain(...), $names)).'-';
    }

    private static function plain(string $name): string
    {
        return trim(preg_replace('/[^\p{L}\p{N}]+/u', '-', mb_strtolower($name)) ?? '', '-');
    }
}
