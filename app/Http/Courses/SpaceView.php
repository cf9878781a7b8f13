<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Sites\Space;

/** How much of a course is stored, and how much may be. Sizes in bytes. */
final readonly class SpaceView
{
    private function __construct(
        /** of the course on the disk, where equal files are kept once */
        public int $course,
        public int $courseQuota,
        /** of all courses of the installation */
        public int $installation,
        public int $installationQuota,
        /** of one student for one assignment, unpacked, all attempts */
        public int $studentQuota,
    ) {
    }

    public static function of(string $courseId): self
    {
        [$course, $all] = [Space::ofCourse($courseId), Space::ofInstallation()];

        return new self($course->used, $course->quota, $all->used, $all->quota, Space::studentQuota());
    }
}
