<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Course;
use App\Models\Student;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Writes the records of a course, or of one student. It takes minutes, and has a worker of its own. */
final class WriteRecords implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $timeout = 7_000;

    public int $tries = 1;

    public int $uniqueFor = 7_200;

    public function __construct(private readonly string $courseId, private readonly ?string $studentId)
    {
        $this->onConnection('records');
    }

    public function uniqueId(): string
    {
        return $this->studentId ?? $this->courseId;
    }

    public function handle(RecordsWriter $writer): void
    {
        $scope = $this->scope();
        if ($scope === null) {
            return;
        }
        $prepared = PreparedRecords::of($scope);
        $path = (string) tempnam(sys_get_temp_dir(), 'records');
        try {
            $writer->write(
                $scope,
                $path,
                fn (int $done, int $of) => $done % 20 === 0 ? $prepared->tell(RecordsState::Waiting, $done, $of) : null,
            );
            $prepared->keep($path);
            $prepared->tell(RecordsState::Ready);
        } finally {
            @unlink($path);
        }
    }

    public function failed(): void
    {
        $scope = $this->scope();
        if ($scope !== null) {
            PreparedRecords::of($scope)->tell(RecordsState::Failed);
        }
    }

    private function scope(): ?Scope
    {
        if ($this->studentId !== null) {
            $student = Student::query()->find($this->studentId);

            return $student === null ? null : Scope::student($student);
        }
        $course = Course::query()->find($this->courseId);

        return $course === null ? null : Scope::course($course);
    }
}
