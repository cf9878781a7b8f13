<?php

declare(strict_types=1);

use App\Models\Assignment;
use App\Models\Course;
use App\Models\MaterialRole;
use App\Models\User;
use App\Sites\MaterialStore;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;

const ACCOUNT = ['name' => 'Ada Quill', 'email' => 'ada@example.org', 'password' => 'ink-and-pencil'];

const COURSE = ['title' => 'Web Craft 2', 'school' => 'Wren Quay', 'term' => 'Spring', 'timeZone' => 'Europe/Berlin'];

it('offers the first account once, to whoever comes first, and then never again', function () {
    $this->getJson('/api/first-run')->assertOk()->assertExactJson(['needed' => true]);
    $this->postJson(
        '/api/first-run',
        ['email' => 'no'] + ACCOUNT,
    )->assertUnprocessable()->assertJsonValidationErrors('email');
    $this->postJson(
        '/api/first-run',
        ['password' => 'short'] + ACCOUNT,
    )->assertUnprocessable()->assertJsonValidationErrors('password');
    $this->postJson('/api/first-run', ACCOUNT)->assertCreated()->assertJsonPath('name', 'Ada Quill');
    $this->getJson('/api/me')->assertOk();

    $this->getJson('/api/first-run')->assertExactJson(['needed' => false]);
    $this->postJson('/api/first-run', ['email' => 'eve@example.org'] + ACCOUNT)->assertConflict();
    expect(User::query()->pluck('email')->all())->toBe(['ada@example.org']);
});

it('makes an account from the shell, and says what is wrong with one', function () {
    $add = fn (string $email, string $password) => $this->artisan(
        'people:add',
        ['email' => $email, 'name' => 'Ada Quill', '--password' => $password],
    );

    $add('ada@example.org', 'ink-and-pencil')->expectsOutputToContain('can log in now')->assertSuccessful();
    $add('ada@example.org', 'ink-and-pencil')->expectsOutputToContain('has an account already')->assertFailed();
    $add('eve@example.org', 'short')->expectsOutputToContain('10 characters or more')->assertFailed();
    $this->postJson('/api/log-in', ['email' => 'ada@example.org', 'password' => 'ink-and-pencil'])->assertOk();
});

it(
    'lets nobody make a course who has not logged in',
    fn () => $this->postJson('/api/courses', COURSE)->assertUnauthorized(),
);

describe('a course', function () {
    beforeEach(function () {
        $this->user = $this->instructor();
        $this->actingAs($this->user);
        $this->id = $this->postJson('/api/courses', COURSE)->assertCreated()->json('id');
    });

    it('is made, renamed, put away and brought back', function () {
        $this->getJson("/api/courses/$this->id")->assertOk()
            ->assertJson([
                'title' => 'Web Craft 2',
                'role' => 'instructor',
                'timeZone' => 'Europe/Berlin',
                'archived' => false,
                'handIns' => 0,
            ]);
        $this->putJson("/api/courses/$this->id", ['title' => 'Web Craft II', 'term' => ''] + COURSE)->assertNoContent();
        $this->putJson("/api/courses/$this->id", ['timeZone' => 'Mars/Olympus'] + COURSE)->assertUnprocessable();
        $this->putJson("/api/courses/$this->id/put-away")->assertNoContent();
        $this->getJson('/api/shelf')->assertJsonPath('courses.0.archived', true)->assertJsonPath(
            'courses.0.title',
            'Web Craft II',
        );
        $this->deleteJson("/api/courses/$this->id/put-away")->assertNoContent();
        $this->getJson('/api/shelf')->assertJsonPath('courses.0.archived', false);
    });

    it('lets nothing wait once it is put away', function () {
        $this->postJson(
            "/api/courses/$this->id/assignments",
            ['title' => 'One', 'summary' => '', 'due' => null],
        )->assertCreated();
        $this->getJson('/api/shelf')->assertJsonCount(1, 'waiting');
        $this->putJson("/api/courses/$this->id/put-away")->assertNoContent();
        $this->getJson('/api/shelf')->assertJsonCount(0, 'waiting');
    });

    it('is deleted with all that belongs to it, by its name alone', function () {
        $handIn = $this->handIn($this->assignment($this->user));
        $course = $handIn->assignment->course;
        $this->deleteJson("/api/courses/$course->id", ['title' => 'Trial'])->assertUnprocessable();
        expect(Course::query()->find($course->id))->not->toBeNull();
        $this->deleteJson("/api/courses/$course->id", ['title' => $course->title])->assertNoContent();

        expect(Course::query()->pluck('id')->all())->toBe([$this->id])
            ->and(DB::table('hand_ins')->count() + DB::table('findings')->count() + DB::table('students')->count())->toBe(0);
    });

    it('is carried over with its work and without its students, at the same hour of the clock', function () {
        $assignment = $this->assignment($this->user);
        $assignment->course->update(['time_zone' => 'Europe/Berlin']);
        $assignment->update(['due_at' => '2026-10-20 16:00:00+00', 'summary' => 'Six pages']);
        $given = new Site('given', [new SourceFile('index.html', '<p>a</p>')]);
        app(MaterialStore::class)->put($assignment, MaterialRole::Starter, $given);
        $this->handIn($assignment->refresh());
        $marker = $this->instructor('marker@example.org');
        $assignment->course->users()->attach($marker, ['role' => 'marker']);
        $from = $assignment->course_id;
        $made = $this->postJson(
            "/api/courses/$from/carry-over",
            ['title' => 'Next', 'term' => 'Spring', 'weeks' => 2],
        )->assertCreated()->json('id');
        $copy = Assignment::query()->where('course_id', $made)->with('brief.files')->sole();

        $this->getJson("/api/courses/$made")->assertJson(
            ['title' => 'Next', 'students' => [], 'handIns' => 0, 'role' => 'instructor'],
        );
        // The clocks went back in between: 18:00 in summer, 18:00 in winter.
        expect($copy->due_at->toIso8601String())->toBe('2026-11-03T17:00:00+00:00')
            ->and([$copy->title, $copy->summary, $copy->brief->version])->toBe([$assignment->title, 'Six pages', 1])
            ->and($copy->brief->source)->toBe($assignment->brief->source)
            ->and($copy->brief->files->pluck('path')->all())->toBe(['index.html'])
            ->and($marker->fresh()->roleIn($made))->toBe('marker');
    });
});

it('writes down what was done to a course, by whom, and nothing that was refused', function () {
    $this->actingAs($this->instructor());
    $id = $this->postJson('/api/courses', COURSE)->json('id');
    $this->putJson("/api/courses/$id", ['title' => ''] + COURSE)->assertUnprocessable();
    $this->putJson("/api/courses/$id/roster", ['text' => "name,handle\nWilla Finch,wfinch"])->assertOk();
    $work = $this->postJson(
        "/api/courses/$id/assignments",
        ['title' => 'Almanac', 'summary' => '', 'due' => null],
    )->json('id');
    $this->putJson("/api/assignments/$work/brief", ['source' => self::BRIEF])->assertOk();
    $this->deleteJson("/api/assignments/$work", ['title' => 'Almanac'])->assertNoContent();
    $deeds = $this->getJson("/api/courses/$id/deeds")->assertOk()->json();

    expect(array_column($deeds, 'what'))->toBe(
        ['deleted Almanac', 'put a brief in use for Almanac', 'set new work', 'kept a roster'],
    )
        ->and(array_unique(array_column($deeds, 'by')))->toBe(['A Teacher']);
});

it('tells of every request that changes a course, and of nothing that only looks', function () {
    $only = [
        'previewRoster', 'previewMarks', 'tryBrief', 'readBriefDraft', 'keepBriefDraft', 'strikeBriefDraft', 'deleteCourse',
    ];
    $directs = collect(Route::getRoutes()->getRoutesByName())
        ->filter(fn ($route) => $route->methods()[0] !== 'GET' && preg_grep(
            '/^can:manage/',
            array_filter($route->gatherMiddleware(), is_string(...)),
        ) !== [])->keys();

    expect($directs->diff(App\Courses\Activity::told())->values()->all())->toEqualCanonicalizing($only);
});

describe('an assignment', function () {
    beforeEach(function () {
        $this->actingAs($this->instructor());
        $this->course = $this->postJson('/api/courses', COURSE)->json('id');
        $this->make = fn (array $given = []) => $this->postJson(
            "/api/courses/$this->course/assignments",
            $given + ['title' => 'Almanac', 'summary' => 'Six pages', 'due' => '2026-12-01T18:00'],
        );
    });

    it('is made and changed, with its due time as the clock of the course shows it', function () {
        $id = ($this->make)()->assertCreated()->json('id');
        $this->getJson("/api/assignments/$id")->assertJson([
            'title' => 'Almanac', 'dueAt' => '2026-12-01T17:00:00+00:00', 'due' => '2026-12-01T18:00',
            'timeZone' => 'Europe/Berlin',
        ]);
        $this->putJson(
            "/api/assignments/$id",
            ['title' => 'Almanac', 'summary' => '', 'due' => null],
        )->assertNoContent();
        $this->getJson("/api/assignments/$id")->assertJson(['summary' => '', 'dueAt' => null, 'due' => null]);
    });

    it('is refused with words, and nothing is changed', function (array $given, string $says) {
        ($this->make)();
        ($this->make)($given)->assertUnprocessable()->assertSee($says);
        expect(Assignment::query()->count())->toBe(1);
    })->with([
        'a title that is there' => [[], 'an assignment of that title already'],
        'no title' => [['title' => ' '], 'what the assignment is called'],
        'no time' => [['title' => 'B', 'due' => 'soon'], 'There is no such time'],
        'a year that no course is in' => [['title' => 'B', 'due' => '9999-12-01T10:00'], 'a year from 2000 to 2100'],
        'a year before all' => [['title' => 'B', 'due' => '0001-12-01T10:00'], 'a year from 2000 to 2100'],
        'a year of five digits' => [['title' => 'B', 'due' => '20261-12-01T10:00'], 'a year from 2000 to 2100'],
        'a day that there is not' => [['title' => 'B', 'due' => '2026-02-30T10:00'], 'There is no such time'],
        'an hour that the clocks leave out' => [
            ['title' => 'B', 'due' => '2026-03-29T02:30'],
            'it is put forward that night',
        ],
    ]);

    it('takes the first of two times that the clock shows twice', function () {
        $id = ($this->make)(['due' => '2026-10-25T02:30'])->assertCreated()->json('id');

        $this->getJson("/api/assignments/$id")->assertJson(['due' => '2026-10-25T02:30']);
    });

    it('takes nothing in while it is closed, and says so', function () {
        $id = ($this->make)()->json('id');
        $drop = fn () => $this->post(
            "/api/assignments/$id/arrivals",
            ['files' => [$this->upload(['index.html' => 'x'])]],
            ['Accept' => 'application/json'],
        );
        $this->putJson("/api/assignments/$id/closed")->assertNoContent();
        $drop()->assertUnprocessable()->assertSee('This assignment is closed');
        $this->getJson("/api/courses/$this->course")->assertJsonPath('assignments.0.closed', true);
        $this->deleteJson("/api/assignments/$id/closed")->assertNoContent();
        $drop()->assertStatus(202);
        $this->getJson("/api/assignments/$id")->assertJson(['closed' => false]);
    });

    it('says how often students may hand in and what they see of the check, and keeps both when nothing is said', function () {
        $id = ($this->make)(['most_attempts' => 3, 'students_see' => 'outcomes'])->assertCreated()->json('id');
        $put = fn (array $with) => $this->putJson(
            "/api/assignments/$id",
            $with + ['title' => 'Almanac', 'summary' => '', 'due' => null],
        );
        $is = fn () => $this->getJson("/api/assignments/$id")->json();

        expect($is())->toMatchArray(['mostAttempts' => 3, 'studentsSee' => 'outcomes']);
        $put([])->assertNoContent();
        expect($is())->toMatchArray(['mostAttempts' => 3, 'studentsSee' => 'outcomes']);
        $put(['most_attempts' => null, 'students_see' => 'all'])->assertNoContent();
        expect($is())->toMatchArray(['mostAttempts' => null, 'studentsSee' => 'all']);
        $put(['most_attempts' => 0])->assertUnprocessable()->assertSee('1 to 99');
        $put(['students_see' => 'everything'])->assertUnprocessable()->assertSee('Choose what students see');
        $copy = $this->postJson("/api/assignments/$id/copy")->json('id');
        expect($this->getJson("/api/assignments/$copy")->json())->toMatchArray(
            ['mostAttempts' => null, 'studentsSee' => 'all'],
        );
    });

    it('stands by its due time until it is put in order by hand', function () {
        $ids = array_map(fn (string $due, string $title) => ($this->make)(compact('due', 'title'))->json('id'), [
            '2026-12-03T10:00', '2026-12-01T10:00', '2026-12-02T10:00',
        ], ['C', 'A', 'B']);
        $order = fn () => implode(
            '',
            array_column($this->getJson("/api/courses/$this->course")->json('assignments'), 'title'),
        );
        $put = fn (array $ids) => $this->putJson("/api/courses/$this->course/order", ['ids' => $ids]);

        expect($order())->toBe('ABC');
        $put([$ids[0], $ids[1]])->assertNoContent();
        expect($order())->toBe('CAB')->and($this->getJson("/api/courses/$this->course")->json('ordered'))->toBeTrue();
        $put([])->assertNoContent();
        expect($order())->toBe('ABC')->and($this->getJson("/api/courses/$this->course")->json('ordered'))->toBeFalse();
        $put([$ids[0], $ids[0]])->assertUnprocessable();
    });

    it('is copied with its brief and files, under titles of its own', function () {
        $id = ($this->make)()->json('id');
        $this->putJson("/api/assignments/$id/brief", ['source' => self::BRIEF])->assertOk();
        app(MaterialStore::class)->put(
            Assignment::query()->findOrFail($id),
            MaterialRole::Copy,
            new Site('c', [new SourceFile('a.txt', 'x')]),
        );
        $copies = [
            $this->postJson("/api/assignments/$id/copy")->assertCreated()->json('id'),
            $this->postJson("/api/assignments/$id/copy")->json('id'),
        ];
        $titles = array_map(fn (string $one) => $this->getJson("/api/assignments/$one")->json('title'), $copies);

        expect($titles)->toBe(['Almanac (2)', 'Almanac (3)']);
        $this->getJson("/api/assignments/$copies[0]")->assertJson(
            ['summary' => 'Six pages', 'due' => null, 'brief' => ['version' => 1, 'points' => 4]],
        );
        expect($this->getJson("/api/assignments/$copies[1]/materials")->json('2.paths'))->toBe(['a.txt']);
    });

    it('is deleted by its name alone', function () {
        $id = ($this->make)()->json('id');
        $this->deleteJson("/api/assignments/$id", ['title' => 'Other'])->assertUnprocessable();
        $this->deleteJson("/api/assignments/$id", ['title' => 'Almanac'])->assertNoContent();
        expect(Assignment::query()->count())->toBe(0);
    });
});

it('deletes an assignment, and a course, with all that was handed in, found, written and given', function (string $what) {
    $this->actingAs($user = $this->instructor());
    $handIn = $this->handIn($this->assignment($user));
    $at = "/api/hand-ins/$handIn->id";
    $print = $handIn->run->findings[0]->fingerprint;
    $this->putJson("$at/verdicts/$print", ['state' => 'inked'])->assertNoContent();
    $this->putJson("$at/marks/files", ['points' => 1, 'reason' => 'x'])->assertNoContent();
    $this->putJson("$at/mended/index.html", ['text' => 'x'])->assertOk();
    $this->putJson("$at/here", ['seconds' => 1])->assertOk();
    $this->postJson("$at/replies")->assertOk();
    $work = $handIn->assignment;
    $this->deleteJson(
        $what === 'assignment' ? "/api/assignments/$work->id" : "/api/courses/$work->course_id",
        ['title' => $what === 'assignment' ? $work->title : $work->course->title],
    )->assertNoContent();

    foreach ([
        'assignments', 'briefs', 'hand_ins', 'check_runs', 'findings', 'remarks', 'marks', 'replies', 'mended_copies',
        'mended_steps', 'readings',
    ] as $table) {
        expect([$table, \Illuminate\Support\Facades\DB::table($table)->count()])->toBe([$table, 0]);
    }
})->with(['assignment', 'course']);

it('carries an assignment over without its due time where that would be in a year that no course is in', function () {
    $this->actingAs($user = $this->instructor());
    $assignment = $this->assignment($user);
    $assignment->update(['due_at' => '2099-10-20 16:00:00+00']);
    $made = $this->postJson(
        "/api/courses/$assignment->course_id/carry-over",
        ['title' => 'Next', 'term' => 'Spring', 'weeks' => 520],
    )->assertCreated()->json('id');

    expect(Assignment::query()->where('course_id', $made)->sole()->due_at)->toBeNull();
});

it('refuses in the database a time that no course has', function (string $table, string $column) {
    $this->handIn($this->assignment($this->instructor()));

    expect(fn () => DB::table($table)->update([$column => '9999-01-01 00:00:00+00']))->toThrow(QueryException::class, 'in_range');
})->with([['assignments', 'due_at'], ['hand_ins', 'arrived_at']]);
