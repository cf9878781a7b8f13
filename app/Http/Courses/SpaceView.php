<?php

declare(strict_types=1);

namespace App\Http\Courses;

use App\Sites\Space;
use OpenApi\Attributes as OA;

/** How much of a course is stored, and how much may be. Sizes in bytes. */
#[OA\Schema]
final readonly class SpaceView
{
    private function __construct(
        #[OA\Property(description: 'of the course on the disk, where equal files are kept once')]
        public int $course,
        #[OA\Property]
        public int $courseQuota,
        #[OA\Property(description: 'of all courses of the installation')]
        public int $installation,
        #[OA\Property]
        public int $installationQuota,
        #[OA\Property(description: 'of one student for one assignment, unpacked, all attempts')]
        public int $studentQuota,
    ) {
    }

    public static function of(string $courseId): self
    {
        [$course, $all] = [Space::ofCourse($courseId), Space::ofInstallation()];

        return new self($course->used, $course->quota, $all->used, $all->quota, Space::studentQuota());
    }
}
