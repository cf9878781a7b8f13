<?php

declare(strict_types=1);

namespace App\Sites;

use App\Models\HandIn;

/**
 * How the students of an assignment pack their sites: asked for once, whatever the number of those compared with it.
 */
final readonly class ClassShape
{
    /** So many classmates have to have handed in before there is a usual way to pack. */
    private const ENOUGH = 3;

    /** @param  array<string, int>  $depths  how many folders are around each site, by student */
    private function __construct(private array $depths)
    {
    }

    public static function of(string $assignmentId): self
    {
        $newest = HandIn::query()->counting()->where('assignment_id', $assignmentId)
            ->whereNotNull('folders')->get(['student_id', 'folders']);

        return new self($newest->mapWithKeys(
            fn (HandIn $one) => [$one->student_id => count($one->folders ?? [])],
        )->all());
    }

    /**
     * How many folders are around the sites of two thirds of a student's classmates; null when they differ, or few have
     * handed in.
     */
    public function usualDepthBeside(string $studentId): ?int
    {
        $depths = array_diff_key($this->depths, [$studentId => true]);
        if (count($depths) < self::ENOUGH) {
            return null;
        }
        $counts = array_count_values($depths);
        arsort($counts);
        $most = array_key_first($counts);

        return 3 * $counts[$most] >= 2 * count($depths) ? $most : null;
    }
}
