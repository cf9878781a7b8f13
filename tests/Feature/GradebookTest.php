<?php

declare(strict_types=1);

use App\Models\Assignment;
use App\Models\Grade;
use App\Models\HandIn;
use App\Models\OtherWork;
use App\Models\Student;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use InkedMargin\Core\Tests\Samples;
use PhpOffice\PhpSpreadsheet\IOFactory;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->first = $this->assignment(
        $this->user,
        ['a' => 'Abel Fennimore', 'b' => '=Briony', 'c' => 'Corin "C" Vasey, jr'],
    );
    $this->course = $this->first->course;
    $this->first->update(['title' => 'Almanac', 'due_at' => now()->subDays(2)]);
    $this->second = Assignment::factory()->for($this->course)->withBrief(self::BRIEF)
        ->createOne(['title' => 'Round', 'due_at' => now()->addDay()]);
    $this->hand = function (Assignment $work, string $handle, array $files): HandIn {
        $arrival = $this->arrival($work, (string) file_get_contents(Samples::zip($files)), 'x.zip');
        $arrival->update(['student_id' => Student::query()->where('handle', $handle)->value('id')]);
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));

        return HandIn::query()->findOrFail($arrival->refresh()->hand_in_id);
    };
    $all = ['index.html' => Samples::page('x'), 'a.html' => Samples::page('a')];
    $this->abel = ($this->hand)($this->first, 'a', ['index.html' => Samples::page('x')]);
    $this->briony = ($this->hand)($this->first, 'b', $all);
    // It counts before it is due, as its reply is out.
    $early = ($this->hand)($this->second, 'a', $all);
    $this->postJson("/api/hand-ins/$early->id/replies")->assertOk();
    $this->at = "/api/courses/{$this->course->id}";
    $this->book = fn () => $this->getJson("$this->at/gradebook")->assertOk()->json();
    $this->row = fn (string $name) => collect(($this->book)()['rows'])->firstWhere('name', $name);
    $this->cells = fn (string $name) => array_map(
        fn (array $cell) => [$cell['kind'], $cell['awarded'], $cell['possible']],
        ($this->row)($name)['cells'],
    );
    $this->student = fn (string $handle) => Student::query()->where('handle', $handle)->firstOrFail();
});

it('has a course’s work side by side, with what is missing, not yet due, and late', function () {
    $book = ($this->book)();
    expect(array_map(fn (array $one) => [$one['title'], $one['possible'], $one['isAssignment']], $book['columns']))
        ->toBe([['Almanac', 4, true], ['Round', 4, true]])
        ->and(array_column($book['parts'], 'title'))->toBe(['All work'])
        ->and(($this->cells)('Abel Fennimore'))->toBe([['earned', 2, 4], ['earned', 4, 4]])
        ->and(($this->cells)('=Briony'))->toBe([['earned', 4, 4], ['open', null, 4]])
        ->and(($this->cells)('Corin "C" Vasey, jr'))->toBe([['missing', 0, 4], ['open', null, 4]])
        ->and(collect($book['rows'])->pluck('percent', 'handle')->all())->toBe(['b' => 100, 'a' => 75, 'c' => 0])
        ->and(($this->row)('Abel Fennimore')['cells'][0]['isLate'])->toBeTrue();
});

it('has the same points as the desk, whatever was given by hand, costs points, or was late', function () {
    $brief = self::BRIEF
        ."  - {id: titles, title: Titles, kind: titles, points: 3}\nmarking: {off_per_fault: 0.5, off_per_day: 0.25, round_to: 0.1}\n";
    $this->putJson("/api/assignments/{$this->first->id}/brief", ['source' => $brief])->assertOk();
    $faulty = ($this->hand)($this->first, 'c', ['index.html' => Samples::page('<img src="x.png"><img src="y.png">')]);
    $this->putJson(
        "/api/hand-ins/{$this->abel->id}/marks/files",
        ['points' => 1.37, 'reason' => 'agreed'],
    )->assertNoContent();
    $print = $faulty->run->findings->firstWhere('rule', 'markup/missing-alt')->fingerprint;
    $this->putJson("/api/hand-ins/$faulty->id/verdicts/$print", ['state' => 'rubbed-out'])->assertNoContent();
    foreach ([$this->abel, $this->briony, $faulty] as $handIn) {
        $desk = $this->getJson("/api/hand-ins/$handIn->id")->assertOk()->json('score');
        $cell = collect(($this->row)($handIn->student->name)['cells'])->firstWhere('handInId', $handIn->id);
        expect([$cell['awarded'], $cell['possible']])->toEqual([$desk['awarded'], $desk['possible']]);
        $lines = $this->getJson("/api/students/$handIn->student_id/grades")->assertOk()->json('sums.0.lines');
        expect(round(array_sum(array_column($lines, 'points')), 2))->toEqual($cell['awarded']);
    }
    expect(($this->row)('Abel Fennimore')['cells'][0]['awarded'])->not->toEqual(2);
});

it('takes points by hand with a reason, excuses, and gives both back to the desk', function () {
    $abel = ($this->student)('a');
    $at = "/api/students/$abel->id/grades/{$this->first->id}";
    $this->putJson($at, ['points' => 3.5, 'reason' => ''])->assertUnprocessable()
        ->assertJsonFragment(['reason' => ['Say why: whoever asks about this number reads it. Nothing was changed.']]);
    $this->putJson($at, ['points' => 3.5, 'reason' => 'seen in class'])->assertNoContent();
    $cell = ($this->row)('Abel Fennimore')['cells'][0];
    expect($cell)->toMatchArray(['kind' => 'by-hand', 'awarded' => 3.5, 'worked' => 2, 'reason' => 'seen in class'])
        ->and(($this->row)('Abel Fennimore')['percent'])->toBe(93.75);
    $this->putJson($at, ['points' => null, 'reason' => 'ill'])->assertNoContent();
    expect(($this->row)('Abel Fennimore')['cells'][0]['kind'])->toBe('excused')
        ->and(($this->row)('Abel Fennimore')['percent'])->toBe(100)
        ->and($this->getJson("/api/students/$abel->id/grades")->json('parts.0.pieces.0.why'))->toBe('excused');
    $this->deleteJson($at)->assertNoContent();
    expect(($this->cells)('Abel Fennimore')[0])->toBe(['earned', 2, 4]);

    $other = $this->assignment($this->instructor('other@example.org'));
    $this->putJson("/api/students/$abel->id/grades/$other->id", ['points' => 1, 'reason' => 'x'])->assertNotFound();
});

it('weighs work in parts, of which the best count, and opens each number to its sum', function () {
    $this->putJson("$this->at/gradebook", [
        'parts' => [
            ['title' => 'Exercises', 'weight' => 40, 'best' => 1],
            ['title' => 'Project', 'weight' => 60, 'best' => null],
        ],
        'work' => [
            ['id' => $this->first->id, 'part' => 0, 'weight' => 1],
            ['id' => $this->second->id, 'part' => 1, 'weight' => 2],
        ],
    ])->assertNoContent();
    $row = ($this->row)('Abel Fennimore');
    expect($row['parts'])->toBe([50, 100])->and($row['percent'])->toBe(80);
    $sums = $this->getJson('/api/students/'.($this->student)('a')->id.'/grades')->assertOk()->json();
    expect($sums['how'])->toBe('(40 × 50 % + 60 × 100 %) / 100')
        ->and($sums['parts'][1]['pieces'][0])->toMatchArray(['title' => 'Round', 'weight' => 2])
        ->and($sums['sums'][0]['lines'])->toBe(
            [['title' => 'Files', 'points' => 2, 'possible' => 4, 'how' => '50 % of 4']],
        );

    $this->putJson("$this->at/gradebook", ['parts' => [], 'work' => []])->assertUnprocessable();
    $this->putJson(
        "$this->at/gradebook",
        ['parts' => [['title' => 'A', 'weight' => -1, 'best' => null]], 'work' => []],
    )->assertUnprocessable();
    expect(($this->row)('Abel Fennimore')['percent'])->toBe(80);
});

it('goes out as CSV that another program reads, marked as UTF-8 or not', function () {
    $csv = (string) $this->get("$this->at/gradebook.csv")->assertOk()
        ->assertHeader('Content-Type', 'text/csv; charset=utf-8')->getContent();
    // Python's csv module (3.11) reads RFC 4180.
    $read = Process::input($csv)
        ->run([
            'python3',
            '-c',
            'import csv,io,json,sys; print(json.dumps(list(csv.reader(io.StringIO(sys.stdin.buffer.read().decode(), newline="")))))',
        ])->throw()->output();
    expect(json_decode($read, true))->toBe([
        ['Name', 'Handle', 'E-mail', 'Group', 'Almanac (4)', 'Round (4)', 'Course %'],
        // What a spreadsheet would take for a formula is text.
        ["'=Briony", 'b', '', '', '4', '', '100'],
        ['Abel Fennimore', 'a', '', '', '2', '4', '75'],
        ['Corin "C" Vasey, jr', 'c', '', '', 'missing', '', '0'],
    ])->and($csv)->toContain("\r\n")->not->toStartWith("\xEF\xBB\xBF")
        ->and((string) $this->get("$this->at/gradebook.csv?bom=1")->getContent())->toBe("\xEF\xBB\xBF$csv");
});

it('goes out as the sheet of an office program, with numbers as numbers', function (string $form) {
    $bytes = (string) $this->get("$this->at/gradebook.$form")->assertOk()->getContent();
    $path = tempnam(sys_get_temp_dir(), 'sheet').".$form";
    file_put_contents($path, $bytes);
    $sheet = IOFactory::createReader(ucfirst($form))->load($path)->getActiveSheet();
    expect($sheet->toArray(formatData: false)[0])->toBe(
        ['Name', 'Handle', 'E-mail', 'Group', 'Almanac (4)', 'Round (4)', 'Course %'],
    )
        ->and($sheet->getCell('A2')->getValue())->toBe('=Briony')->and($sheet->getCell('A2')->isFormula())->toBeFalse()
        ->and($sheet->getCell('E3')->getValue())->toEqual(2)->and($sheet->getCell('E3')->getDataType())->toBe('n')
        ->and($sheet->getCell('E4')->getValue())->toBe('missing');
    // And by another reader: @e965/xlsx 0.20.3 (npm).
    $script = 'const x=require("@e965/xlsx"),s=x.readFile(process.argv[1]).Sheets.Gradebook;console.log(JSON.stringify(x.utils.sheet_to_json(s,{header:1,defval:null})))';
    $read = json_decode(Process::path(base_path())->run(['node', '-e', $script, $path])->throw()->output(), true);
    expect($read)->toBe([
        ['Name', 'Handle', 'E-mail', 'Group', 'Almanac (4)', 'Round (4)', 'Course %'],
        ['=Briony', 'b', null, null, 4, null, 100],
        ['Abel Fennimore', 'a', null, null, 2, 4, 75],
        ['Corin "C" Vasey, jr', 'c', null, null, 'missing', null, 0],
    ]);
    unlink($path);
})->with(['xlsx', 'ods']);

it('takes marks from elsewhere, told before they are kept', function () {
    $text = "Student;ID;Class test (20);Almanac;Oral\nFennimore, Abel;a;17,5;3;9\nBriony;b;excused;4;lots\nCorin;c;-;;8\nNobody;zz;1;1;1\n";
    $preview = $this->postJson("$this->at/marks/preview", ['text' => $text])->assertOk()->json();
    expect(array_map(
        fn (array $one) => [$one['at'], $one['title'], $one['possible'], $one['is'], $one['changes'], $one['same']],
        $preview['columns'],
    ))->toBe([
        [2, 'Class test', 20, 'new', 2, 0], [3, 'Almanac', 4, 'assignment', 1, 1], [4, 'Oral', null, 'new', 2, 0],
    ])->and($preview['columns'][2]['unreadable'])->toBe(['line 3: “lots”'])
        ->and($preview['nobody'])->toBe(['line 5: Nobody, zz'])->and($preview['students'])->toBe(3)
        ->and(OtherWork::query()->count())->toBe(0);

    $this->postJson("$this->at/marks", ['text' => $text, 'from' => 'test.csv', 'columns' => [
        ['at' => 2, 'title' => 'Class test', 'possible' => 20], ['at' => 3, 'title' => 'Almanac', 'possible' => 4],
    ]])->assertOk()->assertExactJson(['taken' => 3]);
    expect(($this->cells)('Abel Fennimore'))->toBe([['by-hand', 3, 4], ['earned', 4, 4], ['by-hand', 17.5, 20]])
        ->and(($this->cells)('=Briony'))->toBe([['earned', 4, 4], ['open', null, 4], ['excused', null, 20]])
        ->and(($this->cells)('Corin "C" Vasey, jr')[2])->toBe(['open', null, 20])
        ->and(Grade::query()->pluck('reason')->unique()->all())->toBe(['carried over from test.csv']);

    // The same file again changes nothing; the work goes with its marks.
    $this->postJson(
        "$this->at/marks",
        ['text' => $text, 'columns' => [['at' => 2, 'title' => 'class TEST', 'possible' => 20]]],
    )->assertOk()->assertExactJson(['taken' => 0]);
    $work = OtherWork::query()->sole();
    $this->deleteJson("$this->at/marks/$work->id")->assertNoContent();
    expect(Grade::query()->count())->toBe(1);
});

it('is the same after it went out and came in again', function (string $form) {
    $this->putJson(
        '/api/students/'.($this->student)('c')->id."/grades/{$this->first->id}",
        ['points' => null, 'reason' => 'ill'],
    )->assertNoContent();
    $bytes = (string) $this->get("$this->at/gradebook.$form")->getContent();
    $other = $this->assignment(
        $this->user,
        ['a' => 'Abel Fennimore', 'b' => '=Briony', 'c' => 'Corin "C" Vasey, jr'],
        null,
    );
    $at = "/api/courses/$other->course_id";
    $file = UploadedFile::fake()->createWithContent("grades.$form", $bytes);
    $preview = $this->post(
        "$at/marks/preview",
        ['file' => $file],
        ['Accept' => 'application/json'],
    )->assertOk()->json();
    expect(array_column($preview['columns'], 'title'))->toBe(['Almanac', 'Round'])->and($preview['nobody'])->toBe([]);
    $columns = array_map(
        fn (array $one) => ['at' => $one['at'], 'title' => $one['title'], 'possible' => $one['possible']],
        $preview['columns'],
    );
    $this->postJson("$at/marks", ['text' => $preview['text'], 'columns' => $columns])->assertOk();
    $cells = fn (string $csv) => array_map(
        fn (string $line) => array_slice(str_getcsv($line, ',', '"', ''), 0, 2) + [
            2 => implode('|', array_slice(str_getcsv($line, ',', '"', ''), -3, 2)),
        ],
        array_slice(explode("\r\n", trim($csv)), 1),
    );
    expect($cells((string) $this->get("$at/gradebook.csv")->getContent()))->toBe(
        $cells((string) $this->get("$this->at/gradebook.csv")->getContent()),
    );
})->with(['csv', 'xlsx', 'ods']);

it('refuses what is no table, and says so', function (string $name, string $bytes) {
    $file = UploadedFile::fake()->createWithContent($name, $bytes);
    $this->post("$this->at/marks/preview", ['file' => $file], ['Accept' => 'application/json'])->assertUnprocessable();
})->with([
    ['x.xlsx', "PK\x03\x04 torn"],
    ['x.csv', ''],
    ['x.csv', 'one line only'],
    ['x.zip', fn () => (string) file_get_contents(Samples::zip(['a.txt' => 'x']))],
]);

it('asks the database as often for a large class as for a small one', function () {
    $count = function (): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->getJson("$this->at/gradebook")->assertOk();

        return count(DB::getQueryLog());
    };
    // Who asks is known from then on.
    $count();
    $few = $count();
    foreach (range(1, 30) as $nth) {
        Student::factory()->for($this->course)->createOne(['handle' => "h$nth"]);
    }
    ($this->hand)($this->second, 'b', ['index.html' => Samples::page('x')]);
    expect($count())->toBe($few)->toBeLessThan(15);
});

/**
 * Works a gradebook out by formulas alone, with a spreadsheet library's own calculation.
 * Source: phpoffice/phpspreadsheet (Packagist), which computes SUM and SUMPRODUCT as office programs do.
 *
 * @param  list<list<mixed>>  $rows
 */
function byFormulas(array $rows, string $formula): Closure
{
    $file = new PhpOffice\PhpSpreadsheet\Spreadsheet;
    $file->getActiveSheet()->fromArray($rows, null, 'A1', true);

    return function (int $row) use ($file, $formula): float {
        $cell = $file->getActiveSheet()->getCell("Z$row")->setValue(str_replace('{row}', (string) $row, $formula));

        return round((float) $cell->getCalculatedValue(), 2);
    };
}

it('comes to what a spreadsheet’s own formulas come to, for each sum of points and for the course', function (string $form) {
    $brief = self::BRIEF."  - {id: titles, title: Titles, kind: titles, points: 3}\n"
        ."marking: {off_per_fault: 0.5, off_per_day: 0.25, round_to: 0.25}\n";
    $this->putJson("/api/assignments/{$this->first->id}/brief", ['source' => $brief])->assertOk();
    ($this->hand)($this->first, 'c', ['index.html' => Samples::page('<img src="x.png"><img src="y.png">')]);
    foreach (['a', 'c'] as $handle) {
        $student = ($this->student)($handle);
        $grades = $this->getJson("/api/students/$student->id/grades")->assertOk()->json();
        $lines = $grades['sums'][0]['lines'];
        $sum = byFormulas(array_map(fn (array $line) => [$line['title'], $line['points']], $lines), '=SUM(B1:B'.count($lines).')');
        expect($sum(1))->toBe(round((float) ($this->row)($student->name)['cells'][0]['awarded'], 2));
    }
    $path = (string) tempnam(sys_get_temp_dir(), 'book').".$form";
    file_put_contents($path, (string) $this->get("$this->at/gradebook.$form")->assertOk()->getContent());
    $sheet = IOFactory::load($path)->getActiveSheet()->toArray(null, true, false);
    $possible = array_map(fn (string $heading) => (float) preg_replace('/.*\((\d+(?:\.\d+)?)\)$/', '$1', $heading), [$sheet[0][4], $sheet[0][5]]);
    // The mean of the shares: columns E and F of those that count, in a course whose work all counts alike.
    $percent = byFormulas($sheet, "=100*SUM(IF(ISNUMBER(E{row}),E{row}/$possible[0],0),IF(ISNUMBER(F{row}),F{row}/$possible[1],0))"
        .'/MAX(1,IF(OR(ISNUMBER(E{row}),E{row}="missing"),1,0)+IF(OR(ISNUMBER(F{row}),F{row}="missing"),1,0))');
    foreach (array_slice($sheet, 1) as $at => $row) {
        expect($percent($at + 2))->toBe(round((float) $row[6], 2), "$row[0]: $row[4], $row[5]");
    }
})->with(['xlsx', 'ods']);
