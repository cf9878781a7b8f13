<?php

declare(strict_types=1);

use App\Courses\PrivateLink;
use App\Models\Course;
use App\Models\HandIn;
use App\Models\User;
use App\Records\RecordsWriter;
use App\Records\Scope;
use App\Records\Tables;
use App\Storage\BlobStore;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use InkedMargin\Core\Tests\Samples;

// Records are a stranger's bytes: they come in whole, or are refused with a sentence.

beforeEach(function () {
    $this->withoutMiddleware(ThrottleRequests::class);
    $this->owner = $this->instructor('owner@example.org');
    $this->work = $this->assignment($this->owner, ['wfinch' => 'Willa Finch', 'ovoss' => 'Orla Voss']);
    $this->actingAs($this->owner);
    $handIn = $this->handIn($this->work);
    $at = "/api/hand-ins/$handIn->id";
    $this->postJson("$at/notes", ['body' => 'A **note**', 'kind' => 'note', 'file' => 'index.html', 'line' => 2]);
    $this->putJson("$at/verdicts/{$handIn->run->findings[0]->fingerprint}", ['state' => 'inked']);
    $this->putJson("$at/marks/files", ['points' => 1.5, 'reason' => 'agreed']);
    $this->putJson("$at/mended/index.html", ['text' => Samples::page('mended')]);
    $this->postJson("$at/replies")->assertOk();
    $this->base = (string) tempnam(sys_get_temp_dir(), 'base');
    app(RecordsWriter::class)->write(Scope::course($this->work->course), $this->base);
    $this->other = $this->assignment($this->owner, ['secret' => 'A Stranger']);
    $this->secret = app(BlobStore::class)->put('the file of another course');
    $this->work->course->delete();
    $this->importer = $this->instructor('importer@example.org');
    Course::factory()->hasAttached($this->importer, ['role' => 'instructor'])->createOne();

    /** Records with other rows in one table. */
    $this->spoiled = function (string $table, Closure $change): string {
        $path = (string) tempnam(sys_get_temp_dir(), 'spoiled');
        copy($this->base, $path);
        $zip = new ZipArchive;
        $zip->open($path);
        $lines = array_values(array_filter(explode("\n", (string) $zip->getFromName("tables/$table.jsonl"))));
        $zip->addFromString("tables/$table.jsonl", implode("\n", $change($lines)));
        $zip->close();

        return $path;
    };
    $this->import = fn (string $path) => $this->actingAs($this->importer)->post(
        '/api/records',
        ['file' => new UploadedFile($path, 'records.zip', test: true)],
        ['Accept' => 'application/json'],
    );
    /** One column of the first row. */
    $this->with = fn (string $table, string $column, mixed $value) => ($this->import)(($this->spoiled)(
        $table,
        function (array $lines) use ($column, $value): array {
            $row = json_decode($lines[0] ?? '{}');
            data_set($row, $column, $value);

            return [json_encode($row), ...array_slice($lines, 1)];
        },
    ));
});

afterEach(fn () => @unlink($this->base));

it('takes records that nobody has changed', function () {
    ($this->import)($this->base)->assertCreated();
});

it('says where a value cannot be', function (string $table, string $column, mixed $value, string $words) {
    $answer = ($this->with)($table, $column, $value)->assertUnprocessable();

    expect($answer->json('errors.file.0'))->toContain($words);
})->with([
    ['assignments', 'due_at', '9999-12-31T23:59:59+00:00', 'Line 1 of the table “assignments” has a value in “due_at”'],
    ['assignments', 'students_see', 'everything', 'has a value in “students_see” that cannot be there'],
    ['courses', 'time_zone', 'Mars/Olympus', '“time_zone”'],
    ['hand_ins', 'attempt', '1', '“attempt”'],
    ['remarks', 'version', 2_147_483_647, '“version”'],
    'a text with NUL' => ['students', 'name', "A\0B", '“name”'],
    ['students', 'nickname', 'x', 'lacks a column, or has one that is not known'],
    ['hand_in_files', 'path', '../../etc/passwd', '“path”'],
    ['replies', 'content.pages', 'none', '“content.pages”'],
    ['findings', 'related', [['file' => 1]], '“related.0'],
    ['outcomes', 'losses', [['a', 1, null, null]], '“losses.0.0”'],
    ['users', 'email', 'nobody', '“email”'],
]);

it('takes files by their bytes in the zip, never by a hash alone', function () {
    $answer = ($this->with)('hand_ins', 'archive_sha256', $this->secret)->assertUnprocessable();

    expect($answer->json('errors.file.0'))->toContain('names a file in “archive_sha256” that is not in the zip');
});

it('takes no row that names what belongs to another course', function (string $table, string $column, string $of) {
    $id = $of === 'students' ? $this->other->course->students()->value('id') : $this->other->{$of}()->value('id');
    ($this->with)($table, $column, $id)->assertUnprocessable()->assertSee('Nothing was changed.');
    expect(Course::query()->whereKey($this->work->course_id)->exists())->toBeFalse();
})->with([
    ['marks', 'brief_id', 'brief'],
    ['check_runs', 'brief_id', 'brief'],
    ['hand_ins', 'student_id', 'students'],
    ['arrivals', 'student_id', 'students'],
]);

it('says nothing in the name of people who have not agreed to it', function () {
    $id = ($this->import)($this->base)->assertCreated()->json('id');
    $author = User::query()->findOrFail(DB::table('remarks')->value('user_id'));

    expect($author->name)->toBe('Someone who left')
        ->and(User::query()->findOrFail($this->owner->id)->roleIn($id))->toBeNull()
        ->and(Course::query()->findOrFail($id)->users()->pluck('email')->all())->toBe(['importer@example.org']);
});

it('gives the importer what they wrote themselves', function () {
    $this->importer = $this->owner;
    ($this->import)($this->base)->assertCreated();

    expect(DB::table('remarks')->distinct()->pluck('user_id')->all())->toBe([$this->owner->id]);
});

it('makes the HTML of replies again of their Markdown', function () {
    $evil = '<meta http-equiv="refresh" content="0;url=https://evil.example/"><script>alert(1)</script>';
    $path = ($this->spoiled)('replies', fn (array $lines) => [
        preg_replace('~"html":\s*"(?:[^"\\\\]|\\\\.)*"~', '"html": '.json_encode($evil), $lines[0]),
    ]);
    expect(repliesIn($path))->toContain('refresh');
    ($this->import)($path)->assertCreated();
    $handIn = HandIn::query()->whereHas('replies')->firstOrFail();
    $shown = $this->getJson("/api/hand-ins/$handIn->id/reply")->assertOk()->json('released.0');

    expect(json_encode($shown))->toContain('<strong>note<\/strong>')->not->toContain('refresh')->not->toContain('script')
        ->and(DB::table('replies')->value('content'))->not->toContain('refresh');
});

it('shows no HTML of a stored reply that Markdown could not have made', function () {
    ($this->import)($this->base)->assertCreated();
    DB::statement('update replies set content = replace(content::text, ?, ?)::jsonb', [
        '<p>A <strong>note', '<meta http-equiv=\"refresh\" content=\"0\"><img src=x onerror=alert(1)><p>A <strong>note',
    ]);
    $handIn = HandIn::query()->whereHas('replies')->firstOrFail();
    $shown = json_encode($this->getJson("/api/hand-ins/$handIn->id/reply")->assertOk()->json('released.0'));

    expect(DB::table('replies')->value('content'))->toContain('onerror')
        ->and($shown)->not->toContain('refresh')->not->toContain('onerror')->toContain('<strong>note');
});

it('refuses a table that unpacks to far more than it has', function () {
    $path = ($this->spoiled)('students', fn (array $lines) => [...$lines, str_repeat(' ', 40_000_000)]);
    ($this->import)($path)->assertUnprocessable()->assertSee('200 times is the most');
});

it('lets instructors alone bring courses in', function () {
    $marker = $this->instructor('marker@example.org');
    $this->other->course->users()->attach($marker, ['role' => 'marker']);
    $this->importer = $marker;

    ($this->import)($this->base)->assertForbidden();
    $this->actingAs($marker)->postJson('/api/courses', ['title' => 'Mine'])->assertForbidden();
});

it('answers tampered records with a sentence, and shows what it took', function () {
    $seed = (int) (getenv('MARGIN_SEED') ?: random_int(1, 1_000_000));
    mt_srand($seed);
    $times = (int) (getenv('MARGIN_TRIALS') ?: 25);
    $taken = 0;
    for ($trial = 1; $trial <= $times; $trial++) {
        [$path, $what] = tampered($this->spoiled, [$this->other->course_id, $this->other->id, $this->secret]);
        $answer = ($this->import)($path);
        unlink($path);
        expect($answer->status())->toBeIn([201, 422], "seed $seed, trial $trial: $what");
        if ($answer->status() === 201) {
            $taken++;
            foreach (screensOf((string) $answer->json('id')) as $address) {
                $status = $this->getJson($address)->status();
                expect($status)->toBeLessThan(500, "seed $seed, trial $trial: $what, then $address");
            }
            Course::query()->whereKey($answer->json('id'))->firstOrFail()->delete();
        }
    }
    expect($taken)->toBeLessThan($times);
});

function repliesIn(string $path): string
{
    $zip = new ZipArchive;
    $zip->open($path);

    return (string) $zip->getFromName('tables/replies.jsonl');
}

/**
 * Records with one thing changed at random.
 *
 * @param  list<string>  $foreign  ids of another course
 * @return array{string, string} the path, and what was changed
 */
function tampered(Closure $spoiled, array $foreign): array
{
    $tables = array_map(fn ($table) => $table->name, Tables::all());
    do {
        $table = $tables[mt_rand(0, count($tables) - 1)];
        $what = null;
        $path = $spoiled($table, function (array $lines) use (&$what, $table, $foreign): array {
            if ($lines === []) {
                return $lines;
            }
            $at = mt_rand(0, count($lines) - 1);
            $row = json_decode($lines[$at], true);
            $columns = array_keys($row);
            $column = $columns[mt_rand(0, count($columns) - 1)];
            $values = [
                null, 5, -1, 1e30, 2_147_483_647, 'x', '', "\0", [], new stdClass, true, [[]], str_repeat('ä', 100_000),
                '9999-12-31T00:00:00+00:00', '2026-02-31T00:00:00+00:00', (string) Str::uuid(), '../../x', ...$foreign,
                '<meta http-equiv="refresh" content="0">', ['a' => ['b' => 1]],
            ];
            $value = $values[mt_rand(0, count($values) - 1)];
            $way = mt_rand(0, 9);
            $what = "$table.$column ".match (true) {
                $way === 0 => 'line twice', $way === 1 => 'line gone', $way === 2 => 'no JSON', $way === 3 => 'column gone',
                default => 'is '.mb_substr((string) json_encode($value), 0, 60),
            };
            if ($way === 0) {
                return [...$lines, $lines[$at]];
            }
            if ($way === 1) {
                unset($lines[$at]);

                return $lines;
            }
            if ($way === 3) {
                unset($row[$column]);
            } elseif (is_array($row[$column]) && $row[$column] !== [] && mt_rand(0, 2) > 0) {
                // Somewhere inside.
                $leaves = array_keys(Illuminate\Support\Arr::dot($row[$column]));
                data_set($row[$column], (string) $leaves[mt_rand(0, count($leaves) - 1)], $value);
            } else {
                $row[$column] = $value;
            }
            $lines[$at] = $way === 2 ? substr($lines[$at], 0, -1) : (string) json_encode($row);

            return $lines;
        });
    } while ($what === null);

    return [$path, $what];
}

/** @return list<string> what people look at in a course */
function screensOf(string $courseId): array
{
    $course = Course::query()->with(['assignments', 'students'])->findOrFail($courseId);
    $screens = ['/api/shelf', '/api/search?q=a', "/api/courses/$courseId"];
    array_push($screens, ...array_map(fn (string $part) => "/api/courses/$courseId/$part", [
        'gradebook', 'gradebook.csv', 'term', 'stock-remarks', 'deeds', 'people', 'space', 'roster.csv',
    ]));
    foreach ($course->assignments as $work) {
        $screens[] = "/api/assignments/$work->id";
        array_push($screens, ...array_map(fn (string $part) => "/api/assignments/$work->id/$part", [
            'arrivals', 'brief/draft', 'brief/sites', 'brief/proposal', 'class-sheet', 'judging/files', 'lesson', 'materials',
            'replies', 'slips',
        ]));
    }
    foreach (HandIn::query()->whereIn('assignment_id', $course->assignments->modelKeys())->get() as $handIn) {
        $screens[] = "/api/hand-ins/$handIn->id";
        array_push($screens, ...array_map(fn (string $part) => "/api/hand-ins/$handIn->id/$part", [
            'attempts', 'findings', 'mended/index.html', 'mended-steps/0/index.html', 'reply', 'reply.html', 'reply.md',
            'seen', 'source/index.html', 'survey', 'words',
        ]));
    }
    foreach ($course->students as $student) {
        $at = '/api/my/'.basename(PrivateLink::of($student));
        array_push($screens, $at, "/api/students/$student->id/grades", "/api/students/$student->id/term");
        foreach ($course->assignments as $work) {
            $screens[] = "$at/assignments/$work->id";
        }
        foreach ($student->handIns()->pluck('id') as $id) {
            array_push($screens, "$at/hand-ins/$id/reply", "$at/hand-ins/$id/check");
        }
    }

    return $screens;
}
