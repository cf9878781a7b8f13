<?php

declare(strict_types=1);

namespace App\Sites;

use App\Models\Assignment;
use App\Models\Student;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Intake\RefusalReason;
use InkedMargin\Core\Source\English;

/**
 * How much is stored, and how much may be. What a student hands in for an assignment is counted unpacked, every attempt
 * in full: that is what their checks read. A course and the installation are counted by what lies on the disk, where
 * equal files are kept once.
 */
final readonly class Space
{
    /** Seconds for which what a course and the installation store is remembered: to add it up takes long. */
    private const REMEMBERED = 60;

    private const MB = 1_000_000;

    public static function ofStudent(Assignment $assignment, Student $student): SpaceUse
    {
        $used = DB::table('hand_in_files')->join('hand_ins', 'hand_ins.id', 'hand_in_files.hand_in_id')
            ->where('assignment_id', $assignment->id)->where('student_id', $student->id)->sum('bytes');

        return new SpaceUse((int) $used, self::studentQuota());
    }

    public static function ofCourse(string $courseId): SpaceUse
    {
        $used = self::remembered("space of $courseId", fn (): int => self::number(<<<'SQL'
            with work as (select id from assignments where course_id = ?),
                given as (select id, archive_sha256 from hand_ins where assignment_id in (select id from work))
            select sum(bytes) as bytes from blobs where sha256 in (
                select archive_sha256 from given
                union select sha256 from hand_in_files where hand_in_id in (select id from given)
                union select sha256 from arrivals where assignment_id in (select id from work)
                union select sha256 from mended_steps where mended_copy_id in
                    (select id from mended_copies where hand_in_id in (select id from given))
                union select sha256 from assignment_files where assignment_id in (select id from work)
                union select sha256 from brief_files where brief_id in
                    (select id from briefs where assignment_id in (select id from work)))
            SQL, [$courseId]));

        return new SpaceUse($used, self::quota('course'));
    }

    /**
     * Some caches give numbers back as text.
     *
     * @param  \Closure(): int  $count
     */
    private static function remembered(string $key, \Closure $count): int
    {
        return (int) Cache::remember($key, self::REMEMBERED, $count);
    }

    /** What is on its way counts too. */
    public static function ofInstallation(): SpaceUse
    {
        $used = self::remembered('space of all', fn (): int => self::number(
            'select (select coalesce(sum(bytes), 0) from blobs) + (select coalesce(sum(received), 0) from uploads) '
                .'as bytes',
        ));

        return new SpaceUse($used, self::quota('installation'));
    }

    /** In bytes, for one student and assignment. */
    public static function studentQuota(): int
    {
        return self::quota('student');
    }

    /**
     * Asked before a site is filed.
     *
     * @param  int  $bytes  of its files, unpacked
     *
     * @throws Refusal
     */
    public static function admitSite(Assignment $assignment, Student $student, int $bytes): void
    {
        $use = self::ofStudent($assignment, $student);
        if ($bytes > $use->left()) {
            throw new Refusal(RefusalReason::NoSpace, 'This site has '.English::bytes($bytes).' unpacked, and '
                .English::bytes($use->used).' are kept of earlier attempts. '.English::bytes($use->quota)
                .' is the most for one student and assignment. Make the pictures smaller.');
        }
        self::admitFile($assignment->course_id, 0);
    }

    /**
     * Asked before a file is kept.
     *
     * @param  int  $bytes  as it comes
     *
     * @throws Refusal
     */
    public static function admitFile(string $courseId, int $bytes): void
    {
        self::refuse('this course', self::ofCourse($courseId), $bytes);
        self::admitToInstallation($bytes);
    }

    /** @throws Refusal */
    public static function admitToInstallation(int $bytes): void
    {
        self::refuse('this installation', self::ofInstallation(), $bytes);
    }

    /** @throws Refusal */
    private static function refuse(string $of, SpaceUse $use, int $bytes): void
    {
        if ($use->left() > 0 && $bytes <= $use->left()) {
            return;
        }
        throw new Refusal(RefusalReason::NoSpace, "The storage of $of is full: ".English::bytes($use->used).' of '
            .English::bytes($use->quota).' are used'.($bytes > 0 ? ', and this has '.English::bytes($bytes) : '')
            .'. Whoever runs the installation can give it more.');
    }

    private static function quota(string $of): int
    {
        return self::MB * config()->integer("margin.megabytes.$of");
    }

    /** @param  list<string>  $bindings */
    private static function number(string $sql, array $bindings = []): int
    {
        $bytes = DB::scalar($sql, $bindings);

        return is_numeric($bytes) ? (int) $bytes : 0;
    }
}
