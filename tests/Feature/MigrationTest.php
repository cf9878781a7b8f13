<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Runs migrations by the number in their name, in a schema of its own beside the tables of the test. */
function migrateFrom(int $first, int $last): void
{
    foreach (glob(database_path('migrations/*.php')) ?: [] as $file) {
        $number = (int) explode('_', basename($file))[3];
        if ($number >= $first && $number <= $last) {
            (require $file)->up();
        }
    }
}

it('makes remarks of verdicts and notes that were kept before, word for word', function () {
    DB::statement('CREATE SCHEMA before');
    DB::statement('SET LOCAL search_path TO before');
    migrateFrom(1, 7);
    $id = fn () => (string) Str::uuid7();
    [$user, $course, $student, $assignment, $brief, $handIn, $run, $older] = array_map(fn () => $id(), range(1, 8));
    $now = now();
    DB::table('users')->insert(['id' => $user, 'name' => 'T', 'email' => 't@example.org', 'password' => 'x']);
    DB::table('courses')->insert(['id' => $course, 'title' => 'C', 'school' => 'S', 'term' => 'N']);
    DB::table('students')->insert(['id' => $student, 'course_id' => $course, 'name' => 'W', 'handle' => 'w']);
    DB::table('assignments')->insert(['id' => $assignment, 'course_id' => $course, 'title' => 'A']);
    DB::table('briefs')->insert([
        'id' => $brief,
        'assignment_id' => $assignment,
        'version' => 1,
        'source' => 'title: A',
    ]);
    DB::table('blobs')->insert(['sha256' => str_repeat('a', 64), 'bytes' => 1]);
    DB::table('hand_ins')->insert([
        'id' => $handIn, 'assignment_id' => $assignment, 'student_id' => $student, 'attempt' => 1,
        'archive_name' => 'w.zip', 'archive_sha256' => str_repeat('a', 64), 'site_name' => 'w', 'arrived_at' => $now,
    ]);
    foreach ([[$older, '1', $now->copy()->subDay()], [$run, '2', $now]] as [$key, $engine, $at]) {
        DB::table('check_runs')->insert([
            'id' => $key, 'hand_in_id' => $handIn, 'brief_id' => $brief, 'engine' => $engine, 'state' => 'finished',
            'created_at' => $at, 'finished_at' => $at,
        ]);
    }
    $finding = fn (string $run, string $print, string $message, int $position) => [
        'id' => $id(), 'check_run_id' => $run, 'position' => $position, 'rule' => 'markup/missing-alt',
        'weight' => 'fault', 'mark' => 'insert', 'file' => 'index.html', 'start_line' => 8, 'start_column' => 3,
        'start_offset' => 90, 'end_line' => 8, 'end_column' => 9, 'end_offset' => 96, 'message' => $message,
        'remedy' => 'Add one.', 'related' => '[]', 'fingerprint' => $print,
    ];
    DB::table('findings')->insert([
        $finding($older, 'both', 'Said long ago.', 0),
        $finding($run, 'both', 'No alt text.', 0),
        $finding($older, 'old', 'Only said long ago.', 1),
    ]);
    foreach ([
        ['both', 'inked', null],
        ['old', 'rubbed-out', 'A drawing.'],
        ['lost', 'inked', null],
    ] as [$print, $state, $why]) {
        DB::table('verdicts')->insert([
            'id' => $id(), 'hand_in_id' => $handIn, 'user_id' => $user, 'fingerprint' => $print, 'state' => $state,
            'reason' => $why, 'created_at' => $now, 'updated_at' => $now,
        ]);
    }
    DB::table('notes')->insert([
        'id' => $id(), 'hand_in_id' => $handIn, 'user_id' => $user, 'merit' => true, 'file' => 'index.html',
        'line' => 3, 'body' => "Well\nmade", 'created_at' => $now, 'updated_at' => $now,
    ]);
    $content = '{"pages":[],"points":[],"student":"W"}';
    DB::table('replies')->insert([
        'id' => $id(), 'hand_in_id' => $handIn, 'user_id' => $user, 'number' => 1, 'content' => $content,
        'released_at' => $now,
    ]);
    $released = DB::table('replies')->value('content');

    migrateFrom(8, 8);

    expect(DB::table('remarks')->orderBy('fingerprint')->get(['kind', 'body', 'reason', 'fingerprint', 'line'])
        ->map(fn ($row) => array_values((array) $row))->all())
        ->toBe([
            ['finding', 'No alt text.', null, 'both', 8],
            ['finding', 'The words of this remark are no longer known.', null, 'lost', null],
            ['rubbed-out', 'Only said long ago.', 'A drawing.', 'old', 8],
            ['merit', "Well\nmade", null, null, 3],
        ])
        ->and(DB::table('replies')->value('content'))->toBe($released)
        ->and(DB::table('check_runs')->pluck('key')->unique())->toHaveCount(2);

    $second = $id();
    DB::table('blobs')->insert(['sha256' => str_repeat('b', 64), 'bytes' => 1]);
    DB::table('hand_ins')->insert([
        'id' => $second, 'assignment_id' => $assignment, 'student_id' => $student, 'attempt' => 2,
        'archive_name' => 'w.zip', 'archive_sha256' => str_repeat('b', 64), 'site_name' => 'w', 'arrived_at' => $now,
    ]);
    migrateFrom(9, 10);
    expect(DB::table('hand_ins')->where('waits', true)->pluck('id')->all())->toBe([$second])
        ->and(DB::table('check_runs')->orderBy('created_at')->get(['faults', 'departures'])->toArray())
        ->toEqual([(object) ['faults' => 2, 'departures' => 0], (object) ['faults' => 1, 'departures' => 0]]);
});
