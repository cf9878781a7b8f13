<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Courses in which nothing has come in for long: what a school may have to delete. */
final readonly class OldCourses
{
    private const OLD = <<<'SQL'
        select c.id, c.title, c.term, greatest(c.created_at, max(h.arrived_at)) as last,
            count(distinct h.id) as hand_ins,
            (select count(*) from students s where s.course_id = c.id) as students
        from courses c
        join course_user m on m.course_id = c.id and m.user_id = ? and m.role = 'instructor'
        left join assignments a on a.course_id = c.id
        left join hand_ins h on h.assignment_id = a.id
        group by c.id
        having greatest(c.created_at, max(h.arrived_at)) < ?
        order by last
        SQL;

    /** @return list<OldCourse> of which somebody is an instructor, the oldest first */
    public static function of(User $user, CarbonImmutable $before): array
    {
        /**
         * @var list<object{id: string, title: string, term: string, last: string, hand_ins: int, students: int}> $rows
         */
        $rows = DB::select(self::OLD, [$user->id, $before->toIso8601String()]);

        return array_map(fn (object $row) => new OldCourse(
            $row->id,
            $row->title,
            $row->term,
            CarbonImmutable::parse($row->last)->toIso8601String(),
            $row->students,
            $row->hand_ins,
        ), $rows);
    }
}
