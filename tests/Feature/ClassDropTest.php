<?php

declare(strict_types=1);

use App\Courses\PrivateLink;
use App\Intake\ClassArchive;
use App\Intake\StudentMatcher;
use App\Models\Arrival;
use App\Models\HandIn;
use App\Models\StockRemark;
use App\Models\Student;
use Illuminate\Support\Str;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    config(['queue.default' => 'sync']);
    $this->user = $this->instructor();
    $this->actingAs($this->user);
    $this->work = $this->assignment($this->user, [
        'wfinch' => 'Willa Finch', 'ovoss' => 'Orla Voss', 'iquill' => 'Imre Quillfeather', 'zmueller' => 'Zoë Müller',
    ]);
    $this->drop = (string) Str::uuid7();
    $this->page = fn (string $words = 'x') => Samples::page("<p>$words</p>");
    $this->zip = fn (array $files) => (string) file_get_contents(Samples::zip($files));
    $this->send = function (string $bytes, string $name, bool $packed = false): string {
        $id = $this->postJson(
            "/api/assignments/{$this->work->id}/uploads",
            ['name' => $name, 'bytes' => strlen($bytes)],
        )->assertCreated()->json('id');
        $this->call(
            'PUT',
            "/api/uploads/$id?offset=0",
            content: $bytes,
        )->assertOk()->assertJson(['received' => strlen($bytes)]);

        return $this->postJson(
            "/api/uploads/$id/arrival",
            ['packed' => $packed, 'drop' => $this->drop],
        )->assertCreated()->json('id');
    };
    $this->states = fn () => Arrival::query()->with('student')->orderBy('name')->get()
        ->mapWithKeys(fn (Arrival $one) => [$one->name => $one->student?->handle ?? $one->state->value])->all();
});

it('opens the archive of a class in little more memory than its files take', function () {
    $path = Samples::zip(
        array_fill_keys(array_map(fn (int $nth) => "wfinch/$nth.html", range(1, 20)), ($this->page)('x')),
    );
    memory_reset_peak_usage();
    $before = memory_get_usage();
    ClassArchive::open($path, fn () => true, fn () => null);

    expect(memory_get_peak_usage() - $before)->toBeLessThan(4_000_000);
});

it('opens the archive of a class, however it is packed', function (Closure $files, array $expected) {
    ($this->send)(($this->zip)($files($this)), 'class.zip');

    expect(($this->states)())->toEqual(['class.zip' => 'opened'] + $expected);
    expect(HandIn::query()->with('run')->get()->every(
        fn (HandIn $one) => $one->run !== null && $one->counts,
    ))->toBeTrue();
})->with([
    'zips in a zip' => [
        fn ($test) => [
            'wfinch.zip' => ($test->zip)(['index.html' => ($test->page)('1')]),
            'Voss_Orla.zip' => ($test->zip)(['index.html' => ($test->page)('2')]),
        ],
        ['wfinch.zip' => 'wfinch', 'Voss_Orla.zip' => 'ovoss'],
    ],
    'zips in a folder' => [
        fn ($test) => [
            'Class 1/wfinch.zip' => ($test->zip)(['index.html' => ($test->page)('1')]),
            '__MACOSX/._x' => '',
        ],
        ['wfinch.zip' => 'wfinch'],
    ],
    'a zip in a folder for each student' => [
        fn ($test) => [
            'Finch Willa_123/site.zip' => ($test->zip)(['index.html' => ($test->page)('1')]),
            'Voss Orla_124/site (1).zip' => ($test->zip)(['index.html' => ($test->page)('2')]),
        ],
        ['site.zip' => 'wfinch', 'site (1).zip' => 'ovoss'],
    ],
    'a folder for each student' => [
        fn ($test) => [
            'hand-ins/wfinch/index.html' => ($test->page)('1'), 'hand-ins/wfinch/images/a.png' => 'x',
            'hand-ins/ovoss/site/index.html' => ($test->page)('2'), 'hand-ins/nobody/index.html' => ($test->page)('3'),
        ],
        ['wfinch' => 'wfinch', 'ovoss' => 'ovoss', 'nobody' => 'unmatched'],
    ],
    'folders and zips together' => [
        fn ($test) => [
            'wfinch/index.html' => ($test->page)('1'),
            'ovoss.zip' => ($test->zip)(['index.html' => ($test->page)('2')]),
        ],
        ['wfinch' => 'wfinch', 'ovoss.zip' => 'ovoss'],
    ],
]);

it('takes one site for one site', function (array $files) {
    ($this->send)(
        ($this->zip)(array_map(fn (string $one) => $one === '' ? ($this->page)() : $one, $files)),
        'wfinch.zip',
    );

    expect(($this->states)())->toBe(['wfinch.zip' => 'wfinch']);
})->with([
    'pages in folders, with a home page' => [['index.html' => '', 'voss/index.html' => '', 'finch/index.html' => '']],
    'folders that are no students' => [['exercise-1/index.html' => '', 'exercise-2/index.html' => '']],
    'one folder of a student' => [['wfinch/index.html' => '', 'wfinch/about.html' => '']],
    'a zip beside the pages' => [['index.html' => '', 'download.zip' => 'x']],
]);

it('opens one level, and refuses what is deeper or damaged by name, keeping the others', function () {
    $inner = ($this->zip)(['deep.zip' => ($this->zip)(['index.html' => ($this->page)()])]);
    ($this->send)(($this->zip)([
        'wfinch.zip' => $inner, 'ovoss.zip' => 'no zip at all',
        'iquill.zip' => ($this->zip)(['index.html' => ($this->page)()]),
    ]), 'class.zip');

    expect(($this->states)())->toEqual(
        ['class.zip' => 'opened', 'wfinch.zip' => 'refused', 'ovoss.zip' => 'refused', 'iquill.zip' => 'iquill'],
    );
    expect(Arrival::query()->where('name', 'wfinch.zip')->sole()->reason)->toContain(
        'only one level of them is opened',
    );
});

it('refuses other kinds of archive by name, with what to do', function (string $name, string $kind) {
    ($this->send)('Rar!', $name);
    expect(Arrival::query()->sole()->reason)->toContain(
        "\"$name\" is $kind, and only zip is read here. Unpack it, and make a zip",
    );
})->with([
    ['wfinch.rar', 'a RAR archive'],
    ['wfinch.7z', 'a 7z archive'],
    ['wfinch.tar.gz', 'a tar archive'],
    ['wfinch.tgz', 'a tar archive'],
]);

it('tells students apart by handle, by name in either order, by e-mail and in any normal form', function (string $name, ?string $handle) {
    Student::query()->where('handle', 'ovoss')->update(['email' => 'orla.v@example.org']);
    $matcher = new StudentMatcher(Student::query()->get());

    expect($matcher->match($name)?->handle)->toBe($handle);
})->with([
    ['wfinch', 'wfinch'], ['WFINCH_project (2)', 'wfinch'], ['Willa Finch', 'wfinch'], ['finch-willa', 'wfinch'],
    ['Finch, Willa Jane', 'wfinch'], ['orla.v@example.org', 'ovoss'], ['orla.v site', 'ovoss'],
    ["Zoe\u{308} Mu\u{308}ller", 'zmueller'], ['MÜLLER_ZOË', 'zmueller'],
    ['willa', null], ['wfinch and ovoss', null], ['site', null],
]);

it('learns from one match made by hand, and uses it the next time', function () {
    $first = ($this->send)(($this->zip)(['index.html' => ($this->page)('1')]), 'quill website.zip');
    expect(($this->states)())->toBe(['quill website.zip' => 'unmatched']);
    $imre = Student::query()->where('handle', 'iquill')->sole();
    // "website" is in another's name, too, and so tells nobody.
    ($this->send)(($this->zip)(['index.html' => ($this->page)('2')]), 'wfinch website.zip');
    $this->patchJson("/api/arrivals/$first", ['student' => $imre->id])->assertStatus(202);
    $next = ($this->send)(($this->zip)(['index.html' => ($this->page)('3')]), 'quill (final).zip');
    ($this->send)(($this->zip)(['index.html' => ($this->page)('4')]), 'website.zip');

    expect(Arrival::query()->findOrFail($next)->student_id)->toBe($imre->id)
        ->and(($this->states)()['website.zip'])->toBe('unmatched');
    $this->assertDatabaseHas('learned_names', ['word' => 'quill', 'student_id' => $imre->id]);
});

it('learns no word that any hand-in may have, and does not follow one past a name that is nearly another’s', function () {
    $first = ($this->send)(($this->zip)(['index.html' => ($this->page)('1')]), 'sparky final pages.zip');
    $this->work->update(['title' => 'Almanac']);
    $this->patchJson(
        "/api/arrivals/$first",
        ['student' => Student::query()->where('handle', 'iquill')->sole()->id],
    )->assertStatus(202);
    expect(DB::table('learned_names')->pluck('word')->all())->toBe(['sparky']);
    foreach (['final pages', 'sparky and finsh', 'SPARKY almanac 2'] as $at => $name) {
        ($this->send)(($this->zip)(['index.html' => ($this->page)("n$at")]), "$name.zip");
    }

    expect(($this->states)())->toMatchArray(
        ['final pages.zip' => 'unmatched', 'sparky and finsh.zip' => 'unmatched', 'SPARKY almanac 2.zip' => 'iquill'],
    );
});

it('takes a whole drop back, but for what somebody has written to', function () {
    ($this->send)(
        ($this->zip)([
            'wfinch/index.html' => ($this->page)('1'),
            'ovoss/index.html' => ($this->page)('2'),
            'odd/index.html' => ($this->page)('3'),
        ]),
        'class.zip',
        true,
    );
    $this->drop = (string) Str::uuid7();
    ($this->send)(($this->zip)(['index.html' => ($this->page)('4')]), 'iquill.zip');
    $first = Arrival::query()->where('name', 'class.zip')->sole()->drop_id;
    $noted = HandIn::query()->whereRelation('student', 'handle', 'ovoss')->sole();
    $this->postJson("/api/hand-ins/$noted->id/notes", ['body' => 'Good.', 'kind' => 'merit'])->assertCreated();

    $this->deleteJson(
        "/api/assignments/{$this->work->id}/drops/$first",
    )->assertOk()->assertExactJson(['gone' => 3, 'kept' => 1]);
    expect(Arrival::query()->where('hand_in_id', $noted->id)->exists())->toBeTrue();
    expect(HandIn::query()->with('student')->get()->map(
        fn (HandIn $one) => $one->student->handle,
    )->sort()->values()->all())->toBe(['iquill', 'ovoss']);
});

it('takes small files together, each with what is known of it', function () {
    $file = fn (string $name, string $words) => new Illuminate\Http\UploadedFile(
        Samples::zip(['index.html' => ($this->page)($words)]),
        $name,
        test: true,
    );
    $this->post("/api/assignments/{$this->work->id}/arrivals", [
        'drop' => $this->drop, 'files' => [$file('wfinch.zip', '1'), $file('ovoss', '2')], 'packed' => ['0', '1'],
    ], ['Accept' => 'application/json'])->assertStatus(202)->assertJson(['taken' => 2]);

    expect(Arrival::query()->orderBy('name')->get()->map(
        fn (Arrival $one) => [$one->name, $one->packed, $one->drop_id],
    )->all())
        ->toBe([['ovoss', true, $this->drop], ['wfinch.zip', false, $this->drop]]);
});

it('takes nothing in for a closed assignment, and says so before anything is sent', function () {
    $this->work->update(['closed_at' => now()]);
    $this->postJson(
        "/api/assignments/{$this->work->id}/uploads",
        ['name' => 'a.zip', 'bytes' => 5],
    )->assertUnprocessable()->assertSee('is closed');
});

it('asks the database as often for one hand-in as for many', function (Closure $address, int $most) {
    $count = function () use ($address): int {
        $asked = $address($this);
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->getJson($asked)->assertOk();
        DB::disableQueryLog();

        return count(DB::getQueryLog());
    };
    ($this->send)(($this->zip)(['index.html' => ($this->page)('1')]), 'wfinch.zip');
    PrivateLink::of(Student::query()->where('handle', 'wfinch')->sole());
    StockRemark::query()->create(['course_id' => $this->work->course_id, 'body' => 'x']);
    $one = $count();
    foreach (['ovoss', 'iquill', 'wfinch', 'nobody'] as $at => $name) {
        ($this->send)(($this->zip)(['index.html' => ($this->page)("n$at")]), "$name.zip");
        StockRemark::query()->create(['course_id' => $this->work->course_id, 'body' => "x$at"]);
        $this->work->replicate()->fill(['title' => "Work $at"])->save();
    }

    expect($count())->toBe($one)->and($one)->toBeLessThanOrEqual($most);
})->with([
    'the in-tray' => [fn ($test) => "/api/assignments/{$test->work->id}/arrivals", 8],
    'stock remarks' => [fn ($test) => "/api/courses/{$test->work->course_id}/stock-remarks", 5],
    'the page of a student' => [
        fn ($test) => '/api/my/'.basename(PrivateLink::of(Student::query()->where('handle', 'wfinch')->sole())),
        5,
    ],
    'work on the page of a student' => [
        fn ($test) => '/api/my/'.basename(
            PrivateLink::of(Student::query()->where('handle', 'wfinch')->sole()),
        )."/assignments/{$test->work->id}", 14,
    ],
]);
