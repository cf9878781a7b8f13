<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Arrival;
use App\Models\Letter;
use App\Models\Student;
use App\Printing\PrintedPage;
use Illuminate\Support\Facades\DB;
use Spatie\Activitylog\Models\Activity;

/**
 * Deletes all that is known of a student: hand-ins, notes, replies, grades, letters, what was written down of them.
 * Files that nobody else has are gone by the next night.
 */
final readonly class Forgetting
{
    private const INSTEAD = 'a student';

    public static function of(Student $student): void
    {
        // Records that wait to be taken along have them, too: those of the course are written anew.
        $prepared = [
            PreparedRecords::of(Scope::student($student)),
            PreparedRecords::of(Scope::course($student->course()->firstOrFail())),
        ];
        DB::transaction(function () use ($student): void {
            Arrival::query()->where('student_id', $student->id)
                ->orWhereIn('hand_in_id', $student->handIns()->select('id'))->delete();
            if ($student->email !== '') {
                Letter::query()->whereRaw('lower("to") = lower(?)', [$student->email])->delete();
            }
            // What was done stays told, and not to whom.
            $name = DB::getPdo()->quote($student->name);
            Activity::query()->where('subject_id', $student->course_id)
                ->where('description', 'like', '%'.self::like($student->name).'%')
                ->update(['description' => DB::raw("replace(description, $name, '".self::INSTEAD."')")]);
            $student->delete();
        });
        array_map(fn (PreparedRecords $one) => $one->forget(), $prepared);
        // Replies that were printed are known by what they say, and not by whose they are.
        PrintedPage::forget();
    }

    private static function like(string $text): string
    {
        return addcslashes($text, '%_\\');
    }
}
