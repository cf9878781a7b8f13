<?php

declare(strict_types=1);

use App\Courses\Rosters\RosterColumns;
use App\Courses\Rosters\RosterCsv;
use App\Courses\Rosters\RosterPlan;
use App\Models\Student;
use App\Tables\RosterRow;
use App\Tables\RosterText;
use Illuminate\Http\UploadedFile;
use InkedMargin\Core\Tests\Seed;

beforeEach(function () {
    $this->user = $this->instructor();
    $this->actingAs($this->user);
    $this->course = $this->assignment($this->user, ['wfinch' => 'Willa Finch', 'ovoss' => 'Orla Voss'])->course;
    $this->at = "/api/courses/{$this->course->id}";
    $this->preview = fn (array $given) => $this->postJson("$this->at/roster/preview", $given);
});

it('reads cells however they are separated, quoted and ended', function (string $text, array $rows) {
    $read = RosterText::read($text)->rows;

    expect(array_map(fn (RosterRow $row) => [$row->line, ...$row->cells], $read))->toBe($rows);
})->with([
    'commas' => ["a,b\nc,d\n", [[1, 'a', 'b'], [2, 'c', 'd']]],
    'semicolons' => ["Finch, Willa;w\nVoss, Orla;o", [[1, 'Finch, Willa', 'w'], [2, 'Voss, Orla', 'o']]],
    'tabs, as pasted from a spreadsheet' => ["a\tb\r\nc\td\r\n", [[1, 'a', 'b'], [2, 'c', 'd']]],
    'quotes, with separators, quotes and lines in them' => [
        "\"a,\"\"x\"\"\",b\n\"c\nd\",e\nf,g",
        [[1, 'a,"x"', 'b'], [2, "c\nd", 'e'], [4, 'f', 'g']],
    ],
    'empty lines, and lines of separators' => ["a,b\n\n,,\n c ,d", [[1, 'a', 'b'], [4, 'c', 'd']]],
    'one column' => ["a\nb", [[1, 'a'], [2, 'b']]],
    'line ends of old spreadsheets' => ["a,b\rc,d", [[1, 'a', 'b'], [2, 'c', 'd']]],
    'text that was kept from being a formula' => ["'=x,'-y\n'q,z", [[1, '=x', '-y'], [2, "'q", 'z']]],
]);

it('reads bytes in the encodings that spreadsheets write', function (string $bytes, string $text) {
    expect(RosterText::decode($bytes))->toBe($text);
})->with([
    'UTF-8' => ["Zo\u{eb}", 'Zoë'],
    'UTF-8 with its mark' => ["\u{feff}Zo\u{eb}", 'Zoë'],
    'UTF-16 with its mark' => ["\xFF\xFE".mb_convert_encoding("Zo\u{eb}\n", 'UTF-16LE', 'UTF-8'), "Zoë\n"],
    'UTF-16, the other way round' => ["\xFE\xFF".mb_convert_encoding('Zoë', 'UTF-16BE', 'UTF-8'), 'Zoë'],
    'UTF-16 without one' => [mb_convert_encoding("Zoe, Ann\n", 'UTF-16LE', 'UTF-8'), "Zoe, Ann\n"],
    'Windows-1252' => ["Zo\xEB \x93x\x94", 'Zoë “x”'],
]);

it('knows what columns hold, by their headings or by what stands in them', function (string $text, array $columns, bool $heading) {
    $guess = RosterColumns::guess(RosterText::read($text)->rows);

    expect([array_map(fn ($column) => $column->value, $guess->columns), $guess->hasHeading])->toBe(
        [$columns, $heading],
    );
})->with([
    'headings' => [
        "Student number;Last name;First name;E-mail;Group\n1;a;b;;\n",
        ['handle', 'last', 'first', 'email', 'group'],
        true,
    ],
    'other headings' => ["Full name,User name,Section,Seat\na,b,c,d", ['name', 'handle', 'group', 'other'], true],
    'no headings' => [
        "Willa Finch,wfinch,wf@example.org,A\nOrla Voss,ovoss,ov@example.org,A\nAda Quill,aquill,aq@example.org,B",
        ['name', 'handle', 'email', 'group'],
        false,
    ],
    'another order, numbers for handles' => [
        "20260001\tA1\tFinch, Willa\n20260002\tA1\tVoss, Orla",
        ['handle', 'group', 'name'],
        false,
    ],
    'first and last names apart' => ["Willa,Finch,w1\nOrla,Voss,o2\nAda,Quill,a3", ['first', 'last', 'handle'], false],
    'names in other scripts' => ["سارة حداد,s1\n李 明,l2\nΑννα Παππά,a3", ['name', 'handle'], false],
]);

it('says of every line what it comes to before anything is kept, and keeps it then', function () {
    Student::query()->where('handle', 'ovoss')->update(['email' => 'ov@example.org']);
    $this->course->roster()->create(['name' => 'Nia Back', 'handle' => 'nback', 'set_aside_at' => now()]);
    $this->course->roster()->create(['name' => 'Gil Gone', 'handle' => 'ggone']);
    $text = implode("\n", [
        'name,handle,email,group',
        'Willa Finch,WFINCH,,',
        'Orla Voss-Hale,orla,ov@example.org,B',
        'Ada Quill,aquill,aq@example.org,B',
        'Ada Again,aquill,,',
        'Nia Back,nback,,',
        'No Handle,,,',
        ',,x,',
        '=HYPERLINK("x"),formula,,',
    ]);
    $shown = ($this->preview)(['text' => $text])->assertOk();

    expect(array_map(fn (array $one) => "{$one['line']} {$one['state']} {$one['says']}", $shown->json('lines')))->toBe([
        '2 changed handle was wfinch',
        '3 changed name was Orla Voss, handle was ovoss, group is new',
        '4 new ',
        '5 doubled `aquill` stands on line 4 already, which counts',
        '6 back ',
        '7 unreadable no handle, and no e-mail to take one from',
        '8 unreadable neither a name nor a handle',
        '9 new ',
    ])->and(array_column($shown->json('gone'), 'name'))->toBe(['Gil Gone'])
        ->and(Student::query()->count())->toBe(4);

    $gone = $shown->json('gone.0.id');
    $this->putJson(
        "$this->at/roster",
        [
            'text' => $shown->json('text'),
            'columns' => $shown->json('columns'),
            'heading' => true,
            'setAside' => [$gone],
        ],
    )
        ->assertOk()->assertJson(['taken' => 6]);
    $roster = collect($this->getJson($this->at)->json('students'))->keyBy('handle');
    expect($roster->keys()->sort()->values()->all())->toBe(['WFINCH', 'aquill', 'formula', 'ggone', 'nback', 'orla'])
        ->and($roster['ggone']['aside'])->toBeTrue()->and($roster['nback']['aside'])->toBeFalse()
        ->and($roster['orla'])->toMatchArray(['name' => 'Orla Voss-Hale', 'email' => 'ov@example.org', 'group' => 'B']);
    // Kept again, nothing changes.
    expect(array_values(array_unique(array_column(($this->preview)(['text' => $text])->json('lines'), 'state'))))->toBe(
        ['same', 'doubled', 'unreadable'],
    );
});

it('leaves alone what a roster does not speak of', function () {
    Student::query()->where('handle', 'wfinch')->update(['email' => 'wf@example.org', 'group' => 'A']);
    $this->putJson("$this->at/roster", ['text' => "name,handle\nWilla Finch-Hale,wfinch\n"])->assertOk();

    expect(Student::query()->where('handle', 'wfinch')->sole()->only('name', 'email', 'group'))
        ->toBe(['name' => 'Willa Finch-Hale', 'email' => 'wf@example.org', 'group' => 'A'])
        ->and(Student::query()->where('handle', 'ovoss')->value('set_aside_at'))->toBeNull();
});

it('takes columns as somebody corrected them, and files as they are dropped', function () {
    $file = UploadedFile::fake()->createWithContent(
        'class.csv',
        "\xFF\xFE".mb_convert_encoding("wren;Wren Adair\nmoss;Moss Hill\n", 'UTF-16LE', 'UTF-8'),
    );
    $shown = $this->post("$this->at/roster/preview", ['file' => $file])->assertOk();
    expect($shown->json('columns'))->toBe(['handle', 'name'])->and($shown->json('lines.0'))
        ->toMatchArray(['name' => 'Wren Adair', 'state' => 'new']);

    $corrected = ($this->preview)(['text' => $shown->json('text'), 'columns' => ['name', 'handle'], 'heading' => true]);
    expect($corrected->json('lines'))->toHaveCount(1)->and($corrected->json('lines.0'))
        ->toMatchArray(['name' => 'moss', 'handle' => 'Moss Hill']);
});

it('refuses what is no roster with words, and changes nothing', function (array $given, string $says) {
    ($this->preview)($given)->assertUnprocessable()->assertSee($says);
    $this->putJson("$this->at/roster", $given)->assertUnprocessable();
    expect(Student::query()->count())->toBe(2);
})->with([
    'nothing' => [['text' => ''], 'Paste the roster'],
    'empty lines' => [['text' => "\n;;\n"], 'no line with a student'],
    'too many lines' => [['text' => str_repeat("a,b\n", RosterPlan::MAX_LINES + 1)], '5,000 lines at most'],
    'no such column' => [['text' => 'a,b', 'columns' => ['x', 'y']], 'columns'],
]);

it('keeps an empty first cell, which is a column like any other', function () {
    $shown = ($this->preview)(['text' => "\tName\tLogin\n1\tAda Quill\taquill\n"]);

    expect($shown->json('columns'))->toBe(['other', 'name', 'handle'])
        ->and($shown->json('lines.0.name'))->toBe('Ada Quill');
});

it('names a handle that is longer than its column', function () {
    $line = ($this->preview)(['text' => 'Ada Quill,'.str_repeat('a1', 200)])->json('lines.0');

    expect($line['state'])->toBe('unreadable')->and($line['says'])->toBe('the handle is longer than 255 characters');
});

it('previews and keeps a roster of 5,000 lines', function () {
    $text = "name,handle,email,group\n".implode(
        "\n",
        array_map(fn (int $n) => "Student N$n,s$n,s$n@example.org,G".$n % 9, range(1, 4_999)),
    );
    ($this->preview)(['text' => $text])->assertOk()->assertJsonCount(4_999, 'lines');
    $this->putJson("$this->at/roster", ['text' => $text])->assertOk()->assertJson(['taken' => 4_999]);
    expect(Student::query()->count())->toBe(5_001);
});

it('writes what it reads: the same roster, with no formulas for spreadsheets', function () {
    $seed = Seed::fresh();
    $cells = ['Willa "W" Finch', 'a,b', "line\nend", '=1+1', '-2', '@x', '+3', "O'Hara", 'سارة', ';', "'quoted'"];
    $students = array_map(fn (int $n) => new Student([
        'name' => $seed->oneOf($cells)." $n", 'handle' => "h$n", 'email' => $seed->chance(50) ? "h$n@example.org" : '',
        'group' => trim($seed->oneOf($cells)),
    ]), range(1, 60));
    $csv = RosterCsv::of($students);
    $rows = array_slice(RosterText::read($csv)->rows, 1);

    expect(array_map(fn (RosterRow $row) => $row->cells, $rows))->toBe(array_map(
        fn (Student $one) => array_map(
            fn (string $cell) => trim($cell),
            [$one->name, $one->handle, $one->email, $one->group],
        ),
        $students,
    ))->and(preg_match('/(?:^|,)"?[=+@-]/m', $csv))->toBe(0);
    $this->get("$this->at/roster.csv")->assertOk()->assertHeader('Content-Disposition')
        ->assertSee("name,handle,e-mail,group\r\n\"Orla Voss\",ovoss,,\r\n", false);
});

it('agrees with PostgreSQL on what CSV says', function () {
    // An outside check: PostgreSQL 15 reading the same bytes (COPY, "CSV Format").
    $seed = Seed::fresh();
    $parts = ['a', '"', ',', "\n", ' b', 'é', ';', "'", '1'];
    $students = array_map(fn (int $n) => new Student([
        'name' => 'n'.implode('', array_map(fn () => $seed->oneOf($parts), range(1, 8))).'x', 'handle' => "h$n",
        'email' => '', 'group' => 'g',
    ]), range(1, 80));
    $csv = RosterCsv::of($students);
    DB::statement('create temporary table copied (at serial, name text, handle text, email text, grp text)');
    $pdo = DB::connection()->getPdo();
    $path = tempnam(sys_get_temp_dir(), 'csv');
    file_put_contents($path, $csv);
    chmod($path, 0644);
    $pdo->exec("copy copied (name, handle, email, grp) from '$path' with (format csv, header)");
    $theirs = array_map(
        fn (object $row) => trim(preg_replace('/[ \t]+/', ' ', $row->name)),
        DB::select('select name from copied order by at'),
    );

    expect(array_map(
        fn (RosterRow $row) => $row->cells[0],
        array_slice(RosterText::read($csv)->rows, 1),
    ))->toBe($theirs);
});

it('changes one student, sets them aside without losing anything, and takes them back', function () {
    $handIn = $this->handIn($this->course->assignments()->firstOrFail());
    $id = $handIn->student_id;
    $now = ['name' => 'Willa F.', 'handle' => 'wfinch', 'email' => 'wf@example.org', 'group' => 'A', 'aside' => true];
    $this->putJson("/api/students/$id", $now)->assertOk()->assertJson(['aside' => true, 'name' => 'Willa F.']);
    $list = $this->getJson("/api/assignments/$handIn->assignment_id");
    expect($list->json('handIns.0.student'))->toBe('Willa F.')
        ->and(array_column($list->json('missing'), 'name'))->toBe(['Orla Voss']);

    $this->putJson("/api/students/$id", ['aside' => false, 'handle' => 'OVOSS'] + $now)->assertUnprocessable()
        ->assertJsonPath('errors.handle.0', 'Orla Voss has this handle already. Nothing was changed.');
    $this->putJson("/api/students/$id", ['email' => 'none'] + $now)->assertUnprocessable();
    $this->putJson("/api/students/$id", ['aside' => false] + $now)->assertOk();
    $this->postJson(
        "$this->at/students",
        ['name' => 'New One', 'handle' => 'none', 'email' => '', 'group' => '', 'aside' => false],
    )->assertCreated();
    expect($this->course->students()->count())->toBe(3);
});
