<?php

declare(strict_types=1);

use App\Models\Finding;
use App\Models\MaterialRole;
use App\Models\Remark;
use App\Models\Reply;
use App\Sites\MaterialStore;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

const STYLED = [
    'index.html' => '<!DOCTYPE html><html lang="en"><head><title>T</title><link rel="stylesheet" href="site.css"></head>'
        .'<body><p>Puffins</p></body></html>',
    'site.css' => '@import "base.css"; p { margin: 0 }',
    'base.css' => 'body { color: #223344 }',
];

beforeEach(function () {
    $this->user = $this->instructor();
    $this->handIn = $this->handIn($this->assignment($this->user));
    $this->actingAs($this->user);
    $this->at = "/api/hand-ins/{$this->handIn->id}";
    $this->finding = Finding::query()->where('rule', 'markup/missing-alt')->firstOrFail();
});

it('shows the leaves, missing ones too, the findings at their lines and the points', function () {
    $this->getJson($this->at)->assertOk()->assertJson([
        'student' => 'Willa Finch', 'attempt' => 1, 'late' => false, 'run' => ['state' => 'finished'],
        'leaves' => [['path' => 'index.html', 'missing' => false], ['path' => 'a.html', 'missing' => true]],
        'outcomes' => [['requirement' => 'files', 'outcome' => 'partly', 'awarded' => 2, 'possible' => 4]],
    ])->assertJsonFragment(['rule' => 'markup/unknown-attribute', 'line' => 8, 'column' => 24, 'state' => 'pencilled'])
        ->assertJsonPath('first.leaf', 'index.html')->assertJsonMissingPath('first.findings.3');
    $this->getJson("$this->at?leaf=a.html")->assertJsonPath('first.findings.0.rule', 'file/missing')
        ->assertJsonPath('first.findings.0.line', null);
});

it('gives the findings of the leaf that is turned to, or those that tell of links', function () {
    $rules = fn (string $query) => array_column(
        $this->getJson("$this->at/findings?$query")->assertOk()->json(),
        'rule',
    );

    expect($rules('leaf=a.html'))->toBe(['file/missing'])
        ->and($rules('leaf='))->toBe([])
        ->and($rules('links=1'))->toBe(['link/missing-file'])
        ->and($rules('leaf=index.html'))->toBe(['markup/missing-alt', 'link/missing-file', 'markup/unknown-attribute']);
    $this->getJson("$this->at/findings?leaf[]=a")->assertUnprocessable();
});

it('tallies what is decided on each leaf, and keeps to what the run reports', function () {
    $tally = fn (string $leaf) => collect($this->getJson($this->at)->json('tallies'))->firstWhere('leaf', $leaf);
    $decide = fn (string $rule, string $state) => $this->putJson(
        "$this->at/verdicts/".Finding::query()->where('rule', $rule)->value('fingerprint'),
        ['state' => $state],
    )->assertNoContent();
    $decide('markup/missing-alt', 'inked');
    $decide('link/missing-file', 'rubbed-out');
    expect($tally('index.html'))->toMatchArray(['pencilled' => 1, 'inked' => 1, 'rubbedOut' => 1])
        ->and($tally('a.html'))->toMatchArray(['pencilled' => 1, 'inked' => 0]);
    $line = fn () => $this->getJson("/api/assignments/{$this->handIn->assignment_id}")->json('handIns.0');
    expect($line())->toMatchArray(['pencilled' => 2, 'inked' => 1, 'rubbedOut' => 1]);

    // The rules no longer report what was inked: it stays, and is counted where it stands.
    Finding::query()->where('rule', 'markup/missing-alt')->delete();
    expect($tally('index.html'))->toMatchArray(['pencilled' => 1, 'inked' => 1, 'rubbedOut' => 1])
        ->and($this->getJson("$this->at/findings?leaf=index.html")->json())->toHaveCount(3);
});

it('keeps a verdict, changes it, and takes it back', function () {
    $at = "$this->at/verdicts/{$this->finding->fingerprint}";
    foreach (['inked', 'rubbed-out'] as $state) {
        $this->putJson($at, ['state' => $state])->assertNoContent();
        $this->getJson($this->at)->assertJsonFragment([
            'fingerprint' => $this->finding->fingerprint,
            'state' => $state,
        ]);
    }
    $this->putJson($at, ['state' => 'pencilled'])->assertNoContent();
    expect(Remark::query()->count())->toBe(0);
});

it('carries verdicts over to a rerun under a new brief', function () {
    $this->putJson("$this->at/verdicts/{$this->finding->fingerprint}", ['state' => 'inked']);
    $this->putJson(
        "/api/assignments/{$this->handIn->assignment_id}/brief",
        ['source' => self::BRIEF."  - {id: t, title: T, kind: titles}\n"],
    )->assertOk();

    expect($this->handIn->runs()->count())->toBe(2);
    $this->getJson($this->at)->assertJsonFragment([
        'rule' => 'markup/missing-alt',
        'state' => 'inked',
    ])->assertJsonCount(2, 'outcomes');
});

it('replies with what was inked and written, and with nothing else', function () {
    $this->putJson("$this->at/verdicts/{$this->finding->fingerprint}", ['state' => 'inked']);
    $this->postJson(
        "$this->at/notes",
        ['body' => 'A **clear** page <script>alert(1)</script> [x](javascript:alert(1))', 'kind' => 'merit'],
    )->assertCreated();
    $this->postJson(
        "$this->at/notes",
        ['body' => 'Mind this line', 'kind' => 'note', 'file' => 'index.html', 'line' => 3],
    )->assertCreated();
    $this->putJson("$this->at/marks/files", ['points' => 3.5, 'reason' => 'nearly all'])->assertNoContent();

    $draft = $this->getJson("$this->at/reply")->assertOk()->json('draft');
    expect(array_column($draft['pages'], 'file'))->toBe(['', 'index.html'])
        ->and(array_column($draft['pages'][1]['items'], 'line'))->toBe([3, 8])
        ->and(
            $draft['pages'][0]['items'][0]['html'],
        )->toContain('<strong>clear</strong>')->not->toContain('<script')->not->toContain('href="javascript:')
        ->and($draft['points'])->toBe([[
            'title' => 'Files',
            'outcome' => 'partly',
            'awarded' => 3.5,
            'possible' => 4,
            'reason' => 'nearly all',
            'how' => 'given by hand instead of 2: nearly all',
            'reasons' => [],
        ]]);
    $markdown = $this->get("$this->at/reply.md")->assertOk()->assertHeader(
        'Content-Type',
        'text/markdown; charset=utf-8',
    )->getContent();
    expect($markdown)->toContain(
        '# Trial site',
        "## Well done\n\n- A **clear** page",
        '- *Line 3.* Mind this line',
        'has no alt text',
        '- Files: 3.5 of 4 (given by hand instead of 2: nearly all)',
    )
        ->not->toContain('`herf`')->not->toContain('none.png leads');
});

it('releases a reply that does not change any more, and supersedes it by another', function () {
    $this->postJson("$this->at/notes", ['body' => 'First', 'kind' => 'note']);
    $this->postJson("$this->at/replies")->assertOk();
    $this->getJson("$this->at/reply")->assertJsonPath('changedSince', false);
    $this->postJson("$this->at/notes", ['body' => 'Second', 'kind' => 'note']);
    $this->getJson("$this->at/reply")->assertJsonPath('changedSince', true)->assertJsonCount(
        1,
        'released.0.content.pages.0.items',
    );
    expect($this->get("$this->at/reply.md")->getContent())->not->toContain('Second');
    $this->postJson("$this->at/replies")->assertOk();

    $this->getJson("$this->at/reply")->assertJsonPath('released.0.number', 2)->assertJsonPath('released.1.number', 1);
    expect(Reply::query()->count())->toBe(2);
});

it('says what is wrong with what was sent, and changes nothing', function (
    string $method,
    string $place,
    array $body,
    int $status,
    string $message,
) {
    $this->json($method, $this->at.$place, $body)->assertStatus($status)->assertSee($message, false);
})->with([
    'an empty note' => ['POST', '/notes', ['body' => '  ', 'kind' => 'note'], 422, 'The note is empty'],
    'a state that is none' => ['PUT', '/verdicts/x', ['state' => 'red'], 422, 'pencilled, inked or rubbed-out'],
    'no such finding' => ['PUT', '/verdicts/x', ['state' => 'inked'], 404, 'There is no such finding'],
    'too many points' => ['PUT', '/marks/files', ['points' => 5, 'reason' => 'x'], 422, 'At most 4 points'],
    'points without a reason' => ['PUT', '/marks/files', ['points' => 1], 422, 'Say why the points differ'],
    'no such requirement' => ['PUT', '/marks/none', ['points' => 1, 'reason' => 'x'], 404, 'no such requirement'],
]);

it('shows source as text, and says so when it is not UTF-8 or no text at all', function () {
    $handIn = $this->handIn($this->handIn->assignment, ['index.html' => "<p>caf\xe9", 'b.bin' => "\0\1"]);

    $this->getJson(
        "/api/hand-ins/$handIn->id/source/index.html",
    )->assertOk()->assertJson([
        'readable' => true,
        'text' => '<p>caf�',
        'remark' => 'The file is not UTF-8: what could not be read is shown as �.',
    ]);
    $this->getJson("/api/hand-ins/$handIn->id/source/b.bin")->assertJson(['readable' => false]);
    $this->getJson("/api/hand-ins/$handIn->id/source/none.html")->assertNotFound();
});

it('shows student pages from their own host, in a sandbox, with their scripts off', function () {
    $url = $this->getJson("$this->at/seen")->json('url');
    $policy = $this->get("{$url}index.html")->assertOk()->assertSee('herf')->headers->get('Content-Security-Policy');

    expect($url)->toStartWith(config('margin.seen_url'))->not->toStartWith(config('app.url'))
        ->and($policy)->toContain(
            'sandbox allow-scripts;',
            "default-src 'none'",
            "script-src 'nonce-",
            "form-action 'none'",
        )->not->toContain('allow-same-origin')->not->toContain('connect-src');
    $this->get("{$url}none.html")->assertNotFound()->assertSee('There is no such file');
    expect($this->get($url.'index.html')->headers->getCookies())->toBe([]);
});

it('shows a page in no styles, or in one sheet of the hand-in, without touching its files', function () {
    $handIn = $this->handIn($this->handIn->assignment, STYLED);
    $policy = function (string $styles) use ($handIn): string {
        $url = $this->getJson(
            config('app.url')."/api/hand-ins/$handIn->id/seen?styles=".rawurlencode($styles),
        )->assertOk()->json('url');
        $answer = $this->get("{$url}index.html")->assertOk()->assertSee('Puffins');

        return "{$answer->headers->get('Content-Security-Policy')} {$answer->getContent()}";
    };

    expect($policy('own'))->toContain("style-src 'unsafe-inline'")->not->toContain('<link rel="stylesheet" nonce')
        ->and($policy('none'))->toContain("style-src 'none'")->not->toContain('<link rel="stylesheet" nonce')
        ->and($policy('sheet:not-there.css'))->toContain("style-src 'none'")
        ->and($policy('sheet:site.css'))->toMatch(
            '~style-src \'nonce-(\w+)\' \S+/base\.css;.+<link rel="stylesheet" nonce="\1" href="\S+/site\.css">~s',
        );
    $this->getJson(
        config('app.url')."$this->at/seen?styles=all",
    )->assertUnprocessable()->assertJsonValidationErrors('styles');
});

it('shows a page in a sheet that the assignment gives, with what that imports', function () {
    $handIn = $this->handIn($this->handIn->assignment, STYLED);
    app(MaterialStore::class)->put($handIn->assignment, MaterialRole::Sheets, new Site('given', [
        new SourceFile('look/night.css', '@import "base.css"; p { color: #fff }'),
        new SourceFile('look/base.css', 'body { background: #000 }'),
    ]));
    $at = config('app.url')."/api/hand-ins/$handIn->id";
    $url = fn (string $path) => $this->getJson("$at/seen?styles=".rawurlencode("given:$path"))->assertOk()->json('url');
    $page = $this->get("{$url('look/night.css')}index.html")->assertOk();
    preg_match('~<link rel="stylesheet" nonce="\w+" href="(\S+)">~', $page->getContent(), $link);

    expect($this->getJson("$at/seen")->json('givenSheets'))->toBe(['look/base.css', 'look/night.css'])
        ->and($link[1])->toEndWith('/look/night.css')
        ->and($page->headers->get('Content-Security-Policy'))->toMatch('~style-src \'nonce-\w+\' \S+/given/[^/ ]+/;~');
    expect($this->get($link[1])->assertOk()->getContent())->toContain('color: #fff');
    $this->get(str_replace('night', 'base', $link[1]))->assertOk();
    $this->get(str_replace('night', 'none', $link[1]))->assertNotFound();
    $this->get(str_replace('/given/', '/given/x', $link[1]))->assertNotFound();
    expect($this->get(
        "{$url('none.css')}index.html",
    )->headers->get('Content-Security-Policy'))->toContain("style-src 'none'");
});

it('says what an element looks like and where that was decided', function () {
    $at = '/api/hand-ins/'.$this->handIn($this->handIn->assignment, STYLED)->id;
    $this->getJson("$at/looks?leaf=index.html&at=1.0")->assertOk()
        ->assertJsonPath('tag', '<p>')
        ->assertJsonPath('around.at', '1')
        ->assertJsonPath('looks.0.value', '#223344')
        ->assertJsonPath('looks.0.from.path', 'base.css');
    $this->getJson("$at/looks?leaf=index.html&at=1.77")->assertNotFound();
    $this->getJson("$at/looks?leaf=none.html")->assertNotFound();
    $this->getJson("$at/looks?leaf=index.html&at=body")->assertUnprocessable();
});

it('shows nothing for a token that is false, changed or too old', function (Closure $change) {
    $url = $this->getJson("$this->at/seen")->json('url');

    $this->get($change($url).'index.html')->assertForbidden()->assertDontSee('herf');
})->with([
    'scripts turned on by hand' => [fn (string $url) => preg_replace('/\.0\./', '.1.', $url, 1)],
    'a longer life' => [fn (string $url) => preg_replace('/\.(\d{10})\./', '.9999999999.', $url)],
    'made up' => [fn (string $url) => preg_replace('~seen/.*~', 'seen/a.0.9999999999.b/', $url)],
    'run out' => [function (string $url) {
        test()->travel(1)->days();

        return $url;
    }],
]);

it('serves student pages on their own host only, and the application only on its own', function () {
    $url = $this->getJson("$this->at/seen")->json('url');

    $this->get(str_replace(config('margin.seen_url'), config('app.url'), $url).'index.html')->assertNotFound();
    $this->get(config('margin.seen_url').'/api/me')->assertNotFound();
});

it('asks the database a fixed number of times for a list, whatever the size of the class', function (string $place) {
    $assignment = $this->handIn->assignment;
    $address = strtr(
        $place,
        ['{course}' => $assignment->course_id, '{assignment}' => $assignment->id, '{handIn}' => $this->handIn->id],
    );
    $count = function () use ($address): int {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->getJson($address)->assertOk();

        return count(DB::getQueryLog());
    };
    $count();
    $few = $count();
    foreach (range(1, 6) as $number) {
        $assignment->course->students()->create(['handle' => "more$number", 'name' => "More $number"]);
        $arrival = $this->arrival(
            $assignment,
            (string) file_get_contents(Samples::zip(['index.html' => Samples::page("<img src=\"$number.png\">")])),
            "more$number.zip",
        );
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));
        $assignment->course->assignments()->create(['title' => "Trial $number", 'due_at' => now()]);
    }

    expect($count())->toBe($few)->toBeLessThanOrEqual(17);
})->with([
    '/api/shelf',
    '/api/courses/{course}',
    '/api/assignments/{assignment}',
    '/api/assignments/{assignment}/arrivals',
    '/api/assignments/{assignment}/class-sheet',
    '/api/hand-ins/{handIn}',
    '/api/hand-ins/{handIn}/survey',
]);

it('says in the frame where a link to nothing would have gone, and why nothing is there', function (string $path, string $said) {
    $page = Samples::page('<p>x</p>');
    $handIn = $this->handIn($this->handIn->assignment, [
        'index.html' => $page, 'pages/tides.html' => $page, 'pages/birds.html' => $page, 'images/a.png' => 'x',
    ]);
    $url = $this->getJson("/api/hand-ins/$handIn->id/seen")->json('url');

    $this->get($url.$path)->assertNotFound()->assertSee($said, false)
        ->assertSee('Back to the page')->assertDontSee('parent.postMessage', false);
})->with([
    'another letter case' => [
        'Pages/Tides.html',
        'There is <code>pages/tides.html</code>. On a web server, upper and lower case',
    ],
    'a folder without a home page' => [
        'images',
        '<code>images</code> is a folder, and it has no <code>index.html</code>',
    ],
    'another folder' => ['birds.html', 'Perhaps <code>pages/birds.html</code> was meant'],
    'a slip of the hand' => ['pages/tidse.html', 'Perhaps <code>pages/tides.html</code> was meant'],
    'nothing like it' => ['<b>.html', 'It would go to <code>&lt;b&gt;.html</code>.'],
]);

it('says of a link from the top of the host that it leaves the site', function () {
    $this->get(config('margin.seen_url').'/pages/tides.html')->assertNotFound()
        ->assertSee(
            '<code>/pages/tides.html</code>',
            false,
        )->assertSee('leaves the site')->assertHeaderMissing('Set-Cookie');
});
