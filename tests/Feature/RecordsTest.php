<?php

declare(strict_types=1);

use App\Console\WriteRecordsSchema;
use App\Models\Course;
use App\Models\HandIn;
use App\Models\OtherWork;
use App\Models\StockRemark;
use App\Models\Student;
use App\Models\User;
use App\Records\PreparedRecords;
use App\Records\RecordsReader;
use App\Records\RecordsWriter;
use App\Records\Scope;
use App\Records\Tables;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['wfinch' => 'Willa Finch', 'ovoss' => 'Orla Voß']);
    $this->course = $this->work->course;
    $this->handIn = $this->handIn($this->work);
    $this->file = tempnam(sys_get_temp_dir(), 'records');
    $this->write = function (Scope $scope): string {
        app(RecordsWriter::class)->write($scope, $this->file);

        return (string) file_get_contents($this->file);
    };
    $this->entries = function (): array {
        $zip = new ZipArchive;
        $zip->open($this->file);
        $entries = [];
        for ($at = 0; $at < $zip->numFiles; $at++) {
            $entries[(string) $zip->getNameIndex($at)] = (string) $zip->getFromIndex($at);
        }

        return $entries;
    };
    // Something of everything.
    $at = "/api/hand-ins/{$this->handIn->id}";
    $this->postJson(
        "$at/notes",
        ['body' => 'Mind the “gap” — très bien', 'kind' => 'note', 'file' => 'index.html', 'line' => 8],
    );
    $this->putJson("$at/verdicts/{$this->handIn->run->findings[0]->fingerprint}", ['state' => 'inked']);
    $this->putJson("$at/marks/files", ['points' => 1.5, 'reason' => 'agreed']);
    $this->putJson("$at/mended/index.html", ['text' => Samples::page('mended')]);
    $this->postJson("$at/replies")->assertOk();
    $again = $this->arrival(
        $this->work,
        (string) file_get_contents(
            Samples::zip(['index.html' => Samples::page('<img src="a.png">'), 'a.html' => Samples::page('x')]),
        ),
        'wfinch.zip',
    );
    dispatch_sync(new \App\Intake\UnpackArrival($again->id));
    StockRemark::query()->create(['course_id' => $this->course->id, 'body' => 'Close your lists']);
    $other = OtherWork::query()->create(['course_id' => $this->course->id, 'title' => 'Oral', 'possible' => 10]);
    $this->putJson(
        "/api/students/{$this->handIn->student_id}/grades/$other->id",
        ['points' => 7.25, 'reason' => 'said'],
    );
});

afterEach(fn () => @unlink($this->file));

it('writes everything of a course in open formats, the same bytes each time', function () {
    $bytes = ($this->write)(Scope::course($this->course));
    $this->travel(5)->minutes();
    expect(hash('sha256', ($this->write)(Scope::course($this->course))))->toBe(hash('sha256', $bytes));

    $entries = ($this->entries)();
    $named = fn (string $pattern) => array_values(preg_grep($pattern, array_keys($entries)) ?: []);
    expect($named('~^hand-ins/[a-z-]+-\w{8}/wfinch-\w{8}/attempt-[12]/wfinch\.zip$~'))->toHaveCount(2)
        ->and($named('~^reports/.+/attempt-2\.(json|sarif)$~'))->toHaveCount(2)
        ->and($named('~^replies/.+/reply-1\.(html|md)$~'))->toHaveCount(2)
        ->and($entries['gradebook.csv'])->toContain('Willa Finch')->and($entries['roster.csv'])->toContain('Orla Voß')
        ->and($entries['tables/remarks.jsonl'])->toContain('Mind the “gap” — très bien')
        ->and($entries[$named('~attempt-1/wfinch\.zip$~')[0]])->toBe(
            app(\App\Storage\BlobStore::class)->get($this->handIn->archive_sha256),
        );
    foreach ($named('~\.jsonl$~') as $table) {
        foreach (array_filter(explode("\n", $entries[$table])) as $line) {
            expect(json_decode($line, true, flags: JSON_THROW_ON_ERROR))->toBeArray();
        }
    }
    // No secrets, and all bytes that are named.
    expect(implode('', $entries))->not->toContain($this->user->password)->not->toContain('link_seed');
    // Another program reads the zip: Info-ZIP's unzip tests each entry.
    expect(Process::run(['unzip', '-tq', $this->file])->successful())->toBeTrue();
});

it('is equal to the last byte after it was read into an empty installation', function () {
    $before = ($this->write)(Scope::course($this->course));
    $reply = $this->getJson("/api/hand-ins/{$this->handIn->id}/reply")->json('released');
    $book = $this->getJson("/api/courses/{$this->course->id}/gradebook")->json('rows');
    $this->course->delete();
    User::query()->delete();
    DB::table('blobs')->delete();
    Storage::disk('local')->deleteDirectory('blobs');
    expect(HandIn::query()->count())->toBe(0)->and(Student::query()->count())->toBe(0);

    $this->artisan('records:import', ['file' => $this->file])->assertSuccessful();
    expect(hash('sha256', ($this->write)(Scope::course(Course::query()->sole()))))->toBe(hash('sha256', $before));

    // And it works: the same reply, the same grades, nothing to be checked again.
    $this->actingAs(User::query()->sole());
    expect($this->getJson("/api/hand-ins/{$this->handIn->id}/reply")->assertOk()->json('released'))->toEqual($reply)
        ->and($this->getJson("/api/courses/{$this->course->id}/gradebook")->json('rows'))->toEqual($book);
    $this->artisan('hand-ins:check-again')->expectsOutput('0 to be checked again.');
    $this->getJson("/api/hand-ins/{$this->handIn->id}/source/index.html")->assertOk();
    $this->postJson('/api/log-in', ['email' => $this->user->email, 'password' => '*'])->assertUnprocessable();
});

it('gives what somebody wrote elsewhere to their account here', function () {
    ($this->write)(Scope::course($this->course));
    $this->course->delete();
    $id = $this->user->id;
    User::query()->whereKey($id)->delete();
    $here = $this->instructor(strtoupper($this->user->email));
    app(RecordsReader::class)->read($this->file);
    expect(User::query()->pluck('id')->all())->toBe([$here->id])->not->toBe([$id])
        ->and(DB::table('remarks')->distinct()->pluck('user_id')->all())->toBe([$here->id])
        ->and($here->roleIn($this->course->id))->toBe('instructor');
});

it('changes nothing where records cannot be read', function (Closure $spoil, string $message) {
    ($this->write)(Scope::course($this->course));
    $spoil($this->file, $this->course);
    $counts = fn () => array_map(
        fn (string $table) => DB::table($table)->count(),
        ['courses', 'students', 'hand_ins', 'users'],
    );
    $before = $counts();
    $this->artisan('records:import', ['file' => $this->file])->expectsOutputToContain($message)->assertFailed();
    expect($counts())->toBe($before);
})->with([
    'it is here' => [fn () => null, 'This course is here already.'],
    'no zip' => [fn (string $file) => file_put_contents($file, 'x'), 'This is not a zip file'],
    'another zip' => [
        fn (string $file) => copy(Samples::zip(['a.txt' => 'x']), $file),
        'These are no records of a course',
    ],
    'torn' => [
        fn (string $file) => file_put_contents($file, substr((string) file_get_contents($file), 0, 3000)),
        'This is not a zip file',
    ],
    'a table that does not fit' => [function (string $file, Course $course): void {
        $course->delete();
        $zip = new ZipArchive;
        $zip->open($file);
        $zip->addFromString('tables/students.jsonl', '');
        $zip->close();
    }, 'The records do not fit together'],
    'rows of another course' => [function (string $file, Course $course): void {
        $other = Course::factory()->createOne();
        $course->delete();
        $zip = new ZipArchive;
        $zip->open($file);
        $students = explode("\n", (string) $zip->getFromName('tables/students.jsonl'));
        $stranger = json_encode(
            [
                'id' => '01890000-0000-7000-8000-000000000009',
                'course_id' => $other->id,
                'handle' => 'mallory',
            ] + (array) json_decode($students[0], true),
        );
        $zip->addFromString('tables/students.jsonl', implode("\n", [$stranger, ...$students]));
        $zip->close();
    }, 'The table “students” has rows that belong to no part of this course.'],
    'a table that is missing' => [function (string $file, Course $course): void {
        $course->delete();
        $zip = new ZipArchive;
        $zip->open($file);
        $zip->deleteName('tables/replies.jsonl');
        $zip->close();
    }, 'There is no table “replies”'],
]);

it('writes what is known of one student, and of nobody else', function () {
    $orla = Student::query()->where('handle', 'ovoss')->firstOrFail();
    $arrival = $this->arrival(
        $this->work,
        (string) file_get_contents(Samples::zip(['index.html' => Samples::page('Orla’s own')])),
        'ovoss.zip',
    );
    dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));
    ($this->write)(Scope::student($orla));
    $all = implode("\n", ($this->entries)());
    expect($all)->toContain('Orla Voß')->not->toContain('Willa Finch')->not
        ->toContain('très bien')->not->toContain('Close your lists')
        ->and(preg_grep('~^hand-ins/.+/ovoss\.zip$~', array_keys(($this->entries)())))->toHaveCount(1);
    $this->artisan('records:import', ['file' => $this->file])->expectsOutputToContain('of one student')->assertFailed();
});

it('has every table that belongs to a course, but for what is said to be none of its records', function () {
    // A run is a cache but for its newest, and a survey is one altogether; who read what is nobody's business; the rest is on its way, or about to be.
    $none = ['readings', 'uploads', 'site_tries', 'invitations', 'surveys'];
    $reached = collect(['courses']);
    do {
        $before = $reached->count();
        $reached = $reached->merge(collect(Schema::getTables())->pluck('name')->filter(
            fn (string $table) => collect(Schema::getForeignKeys($table))->contains(
                fn (array $key) => $reached->contains($key['foreign_table']),
            ),
        ))->unique();
    } while ($reached->count() > $before);
    $kept = array_map(fn ($table) => $table->name, Tables::all());
    expect($reached->reject(
        fn (string $table) => in_array($table, [...$kept, ...$none], true),
    )->values()->all())->toBe([]);
});

it('has the queue write them, says how far it is, and gives them out', function () {
    $at = "/api/courses/{$this->course->id}/records";
    $this->getJson($at)->assertOk()->assertExactJson(['state' => null, 'done' => 0, 'of' => 0]);
    $this->getJson("$at.zip")->assertNotFound();
    $this->postJson($at)->assertStatus(202);
    $this->getJson($at)->assertOk()->assertJson(['state' => 'ready']);
    $answer = $this->get("$at.zip")->assertOk()->assertDownload('records-'.Str::slug($this->course->title).'.zip');
    expect(hash('sha256', (string) $answer->streamedContent()))->toBe(
        hash('sha256', ($this->write)(Scope::course($this->course))),
    );

    // They are full of names, and do not lie there for long.
    $this->travel(25)->hours();
    PreparedRecords::prune();
    $this->getJson($at)->assertExactJson(['state' => null, 'done' => 0, 'of' => 0]);
});

it('brings a course in for whoever asks', function () {
    ($this->write)(Scope::course($this->course));
    $file = fn () => new UploadedFile($this->file, 'records.zip', test: true);
    $this->actingAs($other = $this->instructor('other@example.org'));
    $this->post('/api/records', ['file' => $file()], ['Accept' => 'application/json'])->assertUnprocessable()
        ->assertJsonFragment(['file' => ['This course is here already. Nothing was changed.']]);
    $this->course->delete();
    $id = $this->post(
        '/api/records',
        ['file' => $file()],
        ['Accept' => 'application/json'],
    )->assertCreated()->json('id');
    expect($id)->toBe($this->course->id)->and(User::query()->findOrFail($other->id)->roleIn($id))->toBe('instructor');
    $this->actingAs(User::query()->findOrFail($other->id))->getJson("/api/courses/$id")->assertOk();
});

it('deletes all that is known of a student, on their name, and nothing of anybody else', function () {
    $willa = Student::query()->where('handle', 'wfinch')->firstOrFail();
    $willa->update(['email' => 'willa@example.org']);
    DB::table('letters')->insert(['to' => 'Willa@example.org', 'subject' => 's', 'body' => 'b', 'created_at' => now()]);
    $this->deleteJson("/api/students/$willa->id", ['title' => 'Willa'])->assertUnprocessable();
    $this->deleteJson("/api/students/$willa->id", ['title' => 'Willa Finch'])->assertNoContent();
    $left = collect(Schema::getTables())->pluck('name')->mapWithKeys(
        fn (string $table) => [$table => DB::table($table)->get()->toJson(JSON_UNESCAPED_UNICODE)],
    )
        ->filter(fn (string $rows) => str_contains(
            $rows,
            'Willa Finch',
        ) || str_contains($rows, 'wfinch') || str_contains(strtolower($rows), 'willa@'));
    expect($left->keys()->all())->toBe([])->and(Student::query()->sole()->handle)->toBe('ovoss');

    // Their files are gone by the next night.
    DB::table('blobs')->update(['created_at' => now()->subDays(2)]);
    $this->artisan('blobs:collect')->assertSuccessful();
    expect(Storage::disk('local')->allFiles('blobs'))->toBe([]);
});

it('lists the courses in which nothing has come in for long, and deletes one on its name', function () {
    $old = $this->assignment($this->user);
    $old->course->update(['title' => 'Web Craft of old', 'created_at' => now()->subYears(3)]);
    $this->handIn($old)->update(['arrived_at' => now()->subYears(2)]);
    $this->assignment($this->user, role: 'marker')->course->update(['created_at' => now()->subYears(3)]);
    $list = fn (string $before) => $this->getJson("/api/old-courses?before=$before")->assertOk()->json();
    expect($list(now()->subYear()->format('Y-m-d')))->toHaveCount(1)
        ->and($list(now()->subYear()->format('Y-m-d'))[0])->toMatchArray(
            ['title' => 'Web Craft of old', 'students' => 1, 'handIns' => 1],
        )
        ->and($list(now()->subYears(2)->subDay()->format('Y-m-d')))->toBe([]);
    $this->getJson('/api/old-courses?before=soon')->assertUnprocessable();
    $this->deleteJson("/api/courses/$old->course_id", ['title' => 'Web Craft of old'])->assertNoContent();
    expect($list(now()->subYear()->format('Y-m-d')))->toBe([]);
});

it('publishes what a row may hold', function () {
    expect(WriteRecordsSchema::describe())->toBe(file_get_contents(base_path('docs/records.schema.json')));
});
