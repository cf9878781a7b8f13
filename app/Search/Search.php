<?php

declare(strict_types=1);

namespace App\Search;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Rule;

/** Finds what somebody may see by its words: PostgreSQL's full text search, and the rules of the check. */
final readonly class Search
{
    /** Of each kind. */
    private const MOST = 6;

    private const STUDENTS = <<<'SQL'
        select s.id, s.name, s.handle, s.course_id, c.title as course from students s
        join courses c on c.id = s.course_id
        where s.course_id = any(?) and to_tsvector('simple', name || ' ' || handle || ' ' || email) @@ to_tsquery('simple', ?)
        order by c.put_away_at nulls first, s.name limit ?
        SQL;

    private const ASSIGNMENTS = <<<'SQL'
        select a.id, a.title, c.title as course from assignments a
        join courses c on c.id = a.course_id
        where a.course_id = any(?) and to_tsvector('simple', a.title || ' ' || a.summary) @@ to_tsquery('simple', ?)
        order by c.put_away_at nulls first, a.title limit ?
        SQL;

    /** Words of the student and of the assignment together, such as "fennimore almanac". */
    private const HAND_INS = <<<'SQL'
        with named as (
            select id, name, course_id from students where course_id = any(?)
            and to_tsvector('simple', name || ' ' || handle || ' ' || email) @@ to_tsquery('simple', ?)
        )
        select h.id, n.name, a.title, h.attempt from named n
        join hand_ins h on h.student_id = n.id and h.counts
        join assignments a on a.id = h.assignment_id
        where to_tsvector('simple', n.name || ' ' || a.title) @@ to_tsquery('simple', ?)
        order by h.arrived_at desc limit ?
        SQL;

    private const NOTES = <<<'SQL'
        select r.hand_in_id, r.file, r.line, r.kind, s.name, a.title,
            ts_headline(
                'english', left(r.body, 4000), to_tsquery('english', ?), 'StartSel="", StopSel="", MaxWords=16, MinWords=8'
            ) as words
        from remarks r
        join hand_ins h on h.id = r.hand_in_id
        join students s on s.id = h.student_id
        join assignments a on a.id = h.assignment_id
        where a.course_id = any(?) and r.fingerprint is null and to_tsvector('english', r.body) @@ to_tsquery('english', ?)
        order by r.created_at desc limit ?
        SQL;

    private const STOCK = <<<'SQL'
        select r.id, r.course_id, c.title as course,
            ts_headline(
                'english', left(r.body, 4000), to_tsquery('english', ?), 'StartSel="", StopSel="", MaxWords=16, MinWords=8'
            ) as words
        from stock_remarks r
        left join courses c on c.id = r.course_id
        where (r.course_id = any(?) or r.user_id = ?) and to_tsvector('english', r.body) @@ to_tsquery('english', ?)
        order by r.updated_at desc limit ?
        SQL;

    private string $courses;

    public function __construct(private User $user, private Words $words)
    {
        $this->courses = '{'.DB::table('course_user')
            ->where('user_id', $user->id)->pluck('course_id')->implode(',').'}';
    }

    /** @return list<Hit> by what they are, the likeliest first */
    public function hits(): array
    {
        return $this->words->areNone() ? [] : [
            ...$this->students(), ...$this->assignments(), ...$this->handIns(),
            ...$this->notes(), ...$this->stock(), ...$this->rules(),
        ];
    }

    /** @return list<Hit> */
    private function students(): array
    {
        /** @var list<object{id: string, name: string, handle: string, course_id: string, course: string}> $rows */
        $rows = DB::select(self::STUDENTS, [$this->courses, $this->words->all(), self::MOST]);

        return array_map(fn (object $row) => new Hit(
            HitKind::Student,
            $row->name,
            "$row->handle, $row->course",
            "/courses/$row->course_id/gradebook?student=$row->id",
        ), $rows);
    }

    /** @return list<Hit> */
    private function assignments(): array
    {
        /** @var list<object{id: string, title: string, course: string}> $rows */
        $rows = DB::select(self::ASSIGNMENTS, [$this->courses, $this->words->all(), self::MOST]);

        return array_map(
            fn (object $row) => new Hit(HitKind::Assignment, $row->title, $row->course, "/assignments/$row->id"),
            $rows,
        );
    }

    /** @return list<Hit> */
    private function handIns(): array
    {
        /** @var list<object{id: string, name: string, title: string, attempt: int}> $rows */
        $rows = DB::select(self::HAND_INS, [$this->courses, $this->words->any(), $this->words->all(), self::MOST]);

        return array_map(fn (object $row) => new Hit(
            HitKind::HandIn,
            "$row->name, $row->title",
            "attempt $row->attempt",
            "/hand-ins/$row->id",
        ), $rows);
    }

    /** @return list<Hit> */
    private function notes(): array
    {
        $all = $this->words->all();
        /**
         * @var list<object{hand_in_id: string, file: string|null, line: int|null, kind: string, name: string,
         *     title: string, words: string}> $rows
         */
        $rows = DB::select(self::NOTES, [$all, $this->courses, $all, self::MOST]);

        return array_map(fn (object $row) => new Hit(
            HitKind::Note,
            $row->words,
            "$row->name, $row->title".($row->file === null ? '' : ", $row->file"),
            "/hand-ins/$row->hand_in_id?".http_build_query(array_filter([
                'leaf' => $row->file ?? '', 'view' => 'source', 'line' => $row->line,
            ], fn (mixed $value) => $value !== null)),
        ), $rows);
    }

    /** @return list<Hit> */
    private function stock(): array
    {
        $all = $this->words->all();
        /** @var list<object{id: string, course_id: string|null, course: string|null, words: string}> $rows */
        $rows = DB::select(self::STOCK, [$all, $this->courses, $this->user->id, $all, self::MOST]);
        // One's own remarks are at hand in every course.
        $any = explode(',', trim($this->courses, '{}'))[0];

        return array_map(fn (object $row) => new Hit(
            HitKind::StockRemark,
            $row->words,
            $row->course ?? 'your own',
            '/courses/'.($row->course_id ?? $any).'/remarks',
        ), $rows);
    }

    /** @return list<Hit> */
    private function rules(): array
    {
        $found = array_filter(
            Catalogue::rules(),
            fn (Rule $rule) => $this->words->areIn("$rule->id $rule->title {$rule->facts->summary}"),
        );

        return array_map(
            fn (Rule $rule) => new Hit(HitKind::Rule, $rule->title, $rule->facts->summary, "/rules/$rule->id"),
            array_slice(array_values($found), 0, self::MOST),
        );
    }
}
