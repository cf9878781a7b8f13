<?php

declare(strict_types=1);

namespace App\Courses;

use App\Models\Arrival;
use App\Models\Assignment;
use App\Models\BelongsToCourse;
use App\Models\Course;
use App\Models\HandIn;
use App\Models\Invitation;
use App\Models\Student;
use App\Models\Upload;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;

/** What was done to a course by a request, in words that its instructors read. */
final readonly class Activity
{
    /** Words by the name of the route; {…} is what its address names. */
    private const WORDS = [
        'changeCourse' => 'changed the names of the course',
        'archiveCourse' => 'put the course away',
        'restoreCourse' => 'brought the course back',
        'orderAssignments' => 'put the assignments in order',
        'carryCourseOver' => 'carried the course over',
        'keepRoster' => 'kept a roster',
        'addStudent' => 'added a student',
        'changeStudent' => 'changed {student}',
        'setGradebook' => 'changed how grades come together',
        'takeMarks' => 'took in marks from elsewhere',
        'dropMarks' => 'deleted marks from elsewhere',
        'giveGrade' => 'gave {student} a grade by hand',
        'takeGradeBack' => 'took back a grade of {student}',
        'writeRecords' => 'had the records of the course written',
        'writeStudentRecords' => 'had the records of {student} written',
        'forgetStudent' => 'deleted all that was known of a student',
        'invite' => 'asked somebody to help',
        'takeBackInvitation' => 'took back what {invitation} was asked',
        'changeRole' => 'changed what {person} may',
        'takeOff' => 'took {person} off the course',
        'keepStockRemark' => 'kept a stock remark',
        'takeStockRemarks' => 'took in stock remarks',
        'changeStockRemark' => 'changed a stock remark',
        'dropStockRemark' => 'deleted a stock remark',
        'turnCourseLinkOn' => 'made a link for the whole course',
        'turnCourseLinkOff' => 'ended the link of the course',
        'studentLinks' => 'looked at the students’ links',
        'sendStudentLinks' => 'sent students their links',
        'revokeStudentLink' => 'revoked the link of {student}',
        'makeAssignment' => 'set new work',
        'changeAssignment' => 'changed {assignment}',
        'closeAssignment' => 'closed {assignment}',
        'openAssignment' => 'opened {assignment} again',
        'extend' => 'changed a due time of {assignment}',
        'removeExtension' => 'removed an extension',
        'leaveOut' => 'left a requirement of {assignment} out',
        'countAgain' => 'let a requirement of {assignment} count again',
        'deleteAssignment' => 'deleted {assignment}',
        'copyAssignment' => 'copied {assignment}',
        'giveMaterial' => 'gave files to {assignment}',
        'dropMaterial' => 'took files from {assignment}',
        'setBrief' => 'put a brief in use for {assignment}',
        'drop' => 'dropped hand-ins for {assignment}',
        'dropUpload' => 'dropped {upload}',
        'takeDropBack' => 'took a drop back from {assignment}',
        'match' => 'matched {arrival}',
        'chooseAttempt' => 'chose an attempt of {handIn}',
        'unchooseAttempt' => 'let the last attempt in time of {handIn} count',
        'release' => 'released a reply to {handIn}',
    ];

    /**
     * @return array{Course, string}|null the course and the words; null for a request that does nothing worth telling
     */
    public static function of(Request $request): ?array
    {
        $route = $request->route();
        if (! $route instanceof Route) {
            return null;
        }
        $words = self::WORDS[$route->getName() ?? ''] ?? null;
        // Most of what an instructor does is not told, and need not ask for its course.
        $course = $words === null ? null : self::course($route);

        return $words === null || $course === null ? null : [
            $course,
            preg_replace_callback(
                '/\{(\w+)\}/',
                fn (array $name) => self::named($route->parameter($name[1])),
                $words,
            ) ?? $words,
        ];
    }

    /** @return list<string> the routes that are told */
    public static function told(): array
    {
        return array_keys(self::WORDS);
    }

    private static function course(Route $route): ?Course
    {
        foreach ($route->parameters() as $model) {
            if ($model instanceof BelongsToCourse) {
                return $model instanceof Course ? $model : Course::query()->find($model->courseId());
            }
        }

        return null;
    }

    private static function named(mixed $model): string
    {
        return match (true) {
            $model instanceof Assignment => $model->title,
            $model instanceof Student, $model instanceof User, $model instanceof Arrival,
            $model instanceof Upload => $model->name,
            $model instanceof Invitation => $model->email,
            $model instanceof HandIn => $model->student()->first()->name ?? 'a student',
            default => '',
        };
    }
}
