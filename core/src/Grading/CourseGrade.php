<?php

declare(strict_types=1);

namespace InkedMargin\Core\Grading;

/** What a student has in a course: the weighted mean of its parts. A part in which nothing counts yet is left out. */
final readonly class CourseGrade
{
    /**
     * @param  float|null  $share  null where nothing counts yet
     * @param  list<PartGrade>  $parts
     */
    private function __construct(public ?float $share, public array $parts, public string $how)
    {
    }

    /**
     * @param  list<CoursePart>  $parts
     * @param  array<string, Result>  $results  by the id of the piece
     */
    public static function of(array $parts, array $results): self
    {
        $grades = array_map(fn (CoursePart $part) => PartGrade::of($part, $results), $parts);
        $counted = array_values(array_filter(
            $grades,
            fn (PartGrade $grade) => $grade->share !== null && $grade->part->weight > 0.0,
        ));
        $weights = array_sum(array_map(fn (PartGrade $grade) => $grade->part->weight, $counted));
        $sum = array_sum(array_map(fn (PartGrade $grade) => $grade->part->weight * ($grade->share ?? 0.0), $counted));

        return new self($weights > 0 ? $sum / $weights : null, $grades, self::how($counted, $weights));
    }

    /** @param  list<PartGrade>  $counted */
    private static function how(array $counted, float|int $weights): string
    {
        $terms = array_map(
            fn (PartGrade $grade) => "{$grade->part->weight} × ".Percent::of($grade->share ?? 0.0),
            $counted,
        );

        return match (count($counted)) {
            0 => 'nothing counts yet',
            1 => "{$counted[0]->part->title} alone counts",
            default => '('.implode(' + ', $terms).") / $weights",
        };
    }
}
