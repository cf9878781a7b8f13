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
final readonly class Deed
{
    /** Words by method and address; {…} is what the address names. */
    private const WORDS = [
        'PUT courses/{course}' => 'changed the names of the course',
        'PUT courses/{course}/put-away' => 'put the course away',
        'DELETE courses/{course}/put-away' => 'brought the course back',
        'PUT courses/{course}/order' => 'put the assignments in order',
        'POST courses/{course}/carry-over' => 'carried the course over',
        'PUT courses/{course}/roster' => 'kept a roster',
        'POST courses/{course}/students' => 'added a student',
        'PUT students/{student}' => 'changed {student}',
        'PUT courses/{course}/gradebook' => 'changed how grades come together',
        'POST courses/{course}/marks' => 'took in marks from elsewhere',
        'DELETE courses/{course}/marks/{work}' => 'deleted marks from elsewhere',
        'PUT students/{student}/grades/{work}' => 'gave {student} a grade by hand',
        'DELETE students/{student}/grades/{work}' => 'took back a grade of {student}',
        'POST courses/{course}/records' => 'had the records of the course written',
        'POST students/{student}/records' => 'had the records of {student} written',
        'DELETE students/{student}' => 'deleted all that was known of a student',
        'POST courses/{course}/invitations' => 'asked somebody to help',
        'DELETE invitations/{invitation}' => 'took back what {invitation} was asked',
        'PUT courses/{course}/people/{person}' => 'changed what {person} may',
        'DELETE courses/{course}/people/{person}' => 'took {person} off the course',
        'POST courses/{course}/stock-remarks' => 'kept a stock remark',
        'POST courses/{course}/stock-remarks/file' => 'took in stock remarks',
        'PUT courses/{course}/stock-remarks/{stockRemark}' => 'changed a stock remark',
        'DELETE courses/{course}/stock-remarks/{stockRemark}' => 'deleted a stock remark',
        'PUT courses/{course}/link' => 'made a link for the whole course',
        'DELETE courses/{course}/link' => 'ended the link of the course',
        'POST courses/{course}/student-links' => 'looked at the students’ links',
        'POST courses/{course}/student-links/letters' => 'sent students their links',
        'DELETE students/{student}/link' => 'revoked the link of {student}',
        'POST courses/{course}/assignments' => 'set new work',
        'PUT assignments/{assignment}' => 'changed {assignment}',
        'PUT assignments/{assignment}/closed' => 'closed {assignment}',
        'DELETE assignments/{assignment}/closed' => 'opened {assignment} again',
        'PUT assignments/{assignment}/extensions' => 'changed a due time of {assignment}',
        'DELETE extensions/{extension}' => 'removed an extension',
        'PUT assignments/{assignment}/left-out/{requirement}' => 'left a requirement of {assignment} out',
        'DELETE assignments/{assignment}/left-out/{requirement}' => 'let a requirement of {assignment} count again',
        'DELETE assignments/{assignment}' => 'deleted {assignment}',
        'POST assignments/{assignment}/copy' => 'copied {assignment}',
        'POST assignments/{assignment}/materials/{role}' => 'gave files to {assignment}',
        'DELETE assignments/{assignment}/materials/{role}' => 'took files from {assignment}',
        'PUT assignments/{assignment}/brief' => 'put a brief in use for {assignment}',
        'POST assignments/{assignment}/arrivals' => 'dropped hand-ins for {assignment}',
        'POST uploads/{upload}/arrival' => 'dropped {upload}',
        'DELETE assignments/{assignment}/drops/{drop}' => 'took a drop back from {assignment}',
        'PATCH arrivals/{arrival}' => 'matched {arrival}',
        'PUT hand-ins/{handIn}/chosen' => 'chose an attempt of {handIn}',
        'DELETE hand-ins/{handIn}/chosen' => 'let the last attempt in time of {handIn} count',
        'POST hand-ins/{handIn}/replies' => 'released a reply to {handIn}',
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
        $words = self::WORDS[self::key($route)] ?? null;
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

    public static function key(Route $route): string
    {
        return $route->methods()[0].' '.preg_replace('~^api/~', '', $route->uri());
    }

    /** @return list<string> the requests that are told */
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
