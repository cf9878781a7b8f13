<?php

declare(strict_types=1);

namespace App\Records;

/**
 * The tables that the records of a course are made of, in an order in which each row finds what it names. Surveys are
 * none of them: they are worked out from the files when somebody asks.
 */
final readonly class Tables
{
    private const ASSIGNMENTS = '(select id from assignments where course_id = :course)';

    private const STUDENTS = '(select id from students where course_id = :course and (:student::uuid is null or id = :student))';

    private const HAND_INS = '(select h.id from hand_ins h where h.assignment_id in '.self::ASSIGNMENTS
        .' and h.student_id in '.self::STUDENTS.')';

    private const BRIEFS = '(select id from briefs where assignment_id in '.self::ASSIGNMENTS.')';

    private const COPIES = '(select id from mended_copies where hand_in_id in '.self::HAND_INS.')';

    /** The newest finished check of each hand-in: earlier ones are no records. */
    private const RUNS = <<<'SQL'
        (select distinct on (r.hand_in_id) r.id from check_runs r where r.state = 'finished' and r.hand_in_id in
        SQL.' '.self::HAND_INS.' order by r.hand_in_id, r.created_at desc, r.id desc)';

    /** Whoever wrote something that is kept. */
    private const AUTHORS = <<<'SQL'
        id in (select user_id from course_user where course_id = :course)
        or id in (select user_id from remarks where hand_in_id in {hand-ins})
        or id in (select user_id from marks where hand_in_id in {hand-ins})
        or id in (select user_id from replies where hand_in_id in {hand-ins})
        or id in (select user_id from grades where student_id in {students})
        or id in (select user_id from extensions where assignment_id in {assignments})
        or id in (select user_id from mended_steps where mended_copy_id in {copies})
        SQL;

    /** @return list<Table> */
    public static function all(): array
    {
        $authors = strtr(self::AUTHORS, [
            '{hand-ins}' => self::HAND_INS, '{students}' => self::STUDENTS, '{copies}' => self::COPIES,
            '{assignments}' => self::ASSIGNMENTS,
        ]);
        $ofStudent = 'student_id in '.self::STUDENTS;
        $ofHandIn = 'hand_in_id in '.self::HAND_INS;
        $ofAssignment = 'assignment_id in '.self::ASSIGNMENTS;
        $ofCourse = 'course_id = :course';
        // What is about the class as a whole is no part of one student's records.
        $ofAll = "$ofCourse and :student::uuid is null";

        return [
            // Nobody's password goes along; they set another one by letter.
            new Table(
                'users',
                $authors,
                without: [
                    'password', 'remember_token', 'keeps_house', 'time_zone', 'totp_secret', 'totp_since',
                    'totp_last_step', 'recovery_codes',
                ],
                secret: 'password',
            ),
            new Table('courses', 'id = :course', without: ['link_seed', 'link_sha256', 'link_word']),
            new Table('course_user', $ofCourse, ['user_id']),
            new Table('students', 'id in '.self::STUDENTS, without: ['link_seed', 'link_sha256']),
            new Table('grade_parts', $ofCourse),
            new Table('assignments', $ofCourse, without: ['batch_id']),
            new Table(
                'extensions',
                "$ofAssignment and ($ofStudent or (student_id is null and :student::uuid is null))",
            ),
            new Table('other_work', $ofCourse),
            new Table('briefs', $ofAssignment),
            new Table('brief_files', 'brief_id in '.self::BRIEFS, ['brief_id', 'role', 'path'], hashes: ['sha256']),
            new Table('assignment_files', $ofAssignment, ['assignment_id', 'role', 'path'], hashes: ['sha256']),
            new Table('brief_drafts', "$ofAssignment and :student::uuid is null", ['assignment_id']),
            new Table('stock_remarks', $ofAll),
            new Table(
                'stock_remark_uses',
                "stock_remark_id in (select id from stock_remarks where $ofAll)",
                ['stock_remark_id', 'rule'],
            ),
            new Table('hand_ins', 'id in '.self::HAND_INS, without: ['touched'], hashes: ['archive_sha256']),
            new Table('hand_in_files', $ofHandIn, ['hand_in_id', 'path'], hashes: ['sha256']),
            new Table(
                'arrivals',
                "$ofAssignment and (:student::uuid is null or student_id = :student)",
                without: ['parent_id', 'drop_id'],
                hashes: ['sha256'],
            ),
            new Table('learned_names', "$ofCourse and $ofStudent", ['word']),
            new Table('check_runs', 'id in '.self::RUNS),
            new Table('findings', 'check_run_id in '.self::RUNS, ['check_run_id', 'position']),
            new Table('outcomes', 'check_run_id in '.self::RUNS, ['check_run_id', 'position']),
            new Table('marks', $ofHandIn),
            new Table('remarks', $ofHandIn, without: ['batch_id']),
            new Table('mended_copies', $ofHandIn),
            new Table('mended_steps', 'mended_copy_id in '.self::COPIES, hashes: ['sha256']),
            new Table('replies', $ofHandIn),
            new Table('grades', $ofStudent),
        ];
    }
}
