<?php

declare(strict_types=1);

use App\Models\Brief;
use App\Models\BriefDraft;
use Illuminate\Http\UploadedFile;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->user = $this->instructor();
    $this->actingAs($this->user);
    $this->assignment = $this->assignment($this->user, brief: null);
    $this->at = "/api/assignments/{$this->assignment->id}";
    $this->give = fn (string $role, array $files, array $paths = []) => $this->post(
        "$this->at/materials/$role",
        ['files' => $files, 'paths' => $paths],
        ['Accept' => 'application/json'],
    );
    $this->model = [
        'index.html' => Samples::page('<p><a href="b.html">B</a></p>', 'Home'),
        'b.html' => Samples::page('<p><a href="index.html">A</a></p>', 'B'),
    ];
    $this->paths = fn (string $role) => collect(
        $this->getJson("$this->at/materials")->json(),
    )->firstWhere('role', $role)['paths'];
});

it('takes what an assignment gives as a zip, as a folder or as loose files', function () {
    ($this->give)('model', [$this->upload($this->model, 'model.zip')])->assertNoContent();
    $loose = fn (string $name, string $text) => UploadedFile::fake()->createWithContent($name, $text);
    ($this->give)(
        'starter',
        [$loose('index.html', 'a'), $loose('site.css', 'b')],
        ['start/index.html', 'start/styles/site.css'],
    )->assertNoContent();
    ($this->give)('copy', [$loose('opening.txt', 'Low water.')])->assertNoContent();

    expect([($this->paths)('model'), ($this->paths)('starter'), ($this->paths)('copy'), ($this->paths)('sheets')])
        ->toBe([['b.html', 'index.html'], ['index.html', 'styles/site.css'], ['opening.txt'], []]);
    ($this->give)('copy', [$loose('other.txt', 'x')])->assertNoContent();
    expect(($this->paths)('copy'))->toBe(['other.txt']);
    $this->deleteJson("$this->at/materials/copy")->assertNoContent();
    expect(($this->paths)('copy'))->toBe([]);
});

it('refuses what is no site with words, and keeps what was there', function (Closure $files, string $says) {
    ($this->give)('model', [$this->upload($this->model, 'model.zip')]);
    ($this->give)('model', $files())->assertUnprocessable()->assertSee($says);
    expect(($this->paths)('model'))->toBe(['b.html', 'index.html']);
})->with([
    'nothing' => [fn () => [], 'What was there stays.'],
    'a zip that is none' => [
        fn () => [UploadedFile::fake()->createWithContent('a.zip', 'no zip')],
        'is not a zip archive',
    ],
]);

it('gives a brief in use a new version when its files change, and checks again', function () {
    $this->putJson("$this->at/brief", ['source' => self::BRIEF])->assertOk();
    ($this->give)('model', [$this->upload($this->model, 'model.zip')])->assertNoContent();

    expect(Brief::query()->with('files')->orderBy('version')->get()->map(
        fn (Brief $one) => $one->files->count(),
    )->all())->toBe([0, 2])
        ->and($this->assignment->refresh()->batch_id)->not->toBeNull();
});

it('proposes a brief from the model answer, which meets all of it', function () {
    $this->getJson("$this->at/brief/proposal")->assertUnprocessable()->assertSee('no model answer');
    ($this->give)('model', [$this->upload($this->model, 'model.zip')]);
    $source = $this->getJson("$this->at/brief/proposal")->assertOk()->json('source');
    $reading = $this->postJson("$this->at/brief/reading", ['source' => $source, 'site' => 'model'])->assertOk();

    expect($reading->json('problems'))->toBe([])
        ->and(array_unique(
            array_column($reading->json('requirements'), 'outcome'),
        ))->toContain('met')->not->toContain('unmet', 'partly')
        ->and($this->assignment->briefs()->count())->toBe(0);
});

it('reads a draft sentence by sentence, and tries it on the site that is chosen', function () {
    ($this->give)('model', [$this->upload($this->model, 'model.zip')]);
    $source = json_encode(['title' => 'T', 'requirements' => [
        ['id' => 'a', 'kind' => 'count', 'title' => 'Two', 'points' => 4, 'selector' => 'p', 'exactly' => 2],
        ['id' => 'b', 'kind' => 'count', 'title' => 'Not whole'],
        ['id' => 'c', 'kind' => 'titles', 'title' => 'Titles', 'points' => 1],
    ]]);
    $reading = $this->postJson("$this->at/brief/reading", ['source' => $source, 'site' => 'model'])->assertOk()->json();

    expect(array_column($reading['requirements'], 'outcome'))->toBe(['unmet', null, 'met'])
        ->and($reading['requirements'][0])->toMatchArray(
            ['sentence' => 'Every page has exactly 2 `p`.', 'points' => 4, 'awarded' => 0],
        )
        ->and($reading['requirements'][0]['shortfalls'][0])->toMatchArray(['file' => 'index.html', 'line' => 8])
        ->and($reading['requirements'][1]['problems'])->toContain('selector: is missing')
        ->and([$reading['points'], $reading['awarded'], $reading['possible']])->toEqual([5, 1, 5])
        ->and($reading['names'])->toContain('b.html', 'p')
        ->and($reading['yaml'])->toStartWith("title: T\nrequirements:\n  - id: a")
        ->and($reading['document']['requirements'][1])->toBe(['id' => 'b', 'kind' => 'count', 'title' => 'Not whole']);
    $this->postJson(
        "$this->at/brief/reading",
        ['source' => 'title: [', 'site' => null],
    )->assertUnprocessable()->assertSee('line 1');
    $this->postJson(
        "$this->at/brief/reading",
        ['source' => $source, 'site' => 'none'],
    )->assertOk()->assertJsonPath('awarded', null);
});

it('keeps the comments of a brief while it is edited as sentences', function () {
    $source = "title: T\nrequirements:\n  # Rowan asked for it.\n  - {id: look, kind: look, title: Layout, points: 2}\n";
    $document = $this->postJson("$this->at/brief/reading", ['source' => $source, 'site' => null])->assertOk()
        ->json('document');
    $document['requirements'][0]['points'] = 3;

    expect($this->postJson("$this->at/brief/reading", ['source' => json_encode($document), 'site' => null])->json('yaml'))
        ->toContain("  # Rowan asked for it.\n  - id: look\n");
});

it('offers the model, the starter, what was handed in, and the examples to try it on', function () {
    ($this->give)('model', [$this->upload($this->model, 'model.zip')]);
    $handIn = $this->handIn($this->assignment, $this->model);
    $sites = $this->getJson("$this->at/brief/sites")->assertOk()->json();

    expect(array_slice(array_column($sites, 'key'), 0, 2))->toBe(['model', "hand-in:$handIn->id"])
        ->and($sites[1]['name'])->toBe('what Willa Finch handed in')
        ->and(array_column($sites, 'key'))->toContain('example:ring-of-eight')->toHaveCount(10);
    $other = $this->handIn($this->assignment($this->user, ['wfinch' => 'Other'], null));
    $source = "title: T\nrequirements: [{id: a, kind: titles, title: T}]";
    foreach ([
        "hand-in:$other->id" => null,
        'example:../secret' => null,
        'example:ring-of-eight' => 'met',
    ] as $site => $outcome) {
        $this->postJson(
            "$this->at/brief/reading",
            ['source' => $source, 'site' => $site],
        )->assertOk()->assertJsonPath('requirements.0.outcome', $outcome);
    }
});

it('keeps a draft as it goes, and loses nobody’s words when two write at once', function () {
    $this->getJson("$this->at/brief/draft")->assertOk()->assertJson(['version' => 0, 'by' => null]);
    $this->putJson(
        "$this->at/brief/draft",
        ['source' => 'mine', 'version' => 0],
    )->assertOk()->assertJson(['version' => 1, 'by' => 'A Teacher']);
    $this->putJson(
        "$this->at/brief/draft",
        ['source' => 'mine, more', 'version' => 1],
    )->assertOk()->assertJson(['version' => 2]);
    $other = $this->instructor('other@example.org');
    $this->assignment->course->users()->attach($other, ['role' => 'instructor']);
    $this->actingAs($other)->putJson("$this->at/brief/draft", ['source' => 'theirs', 'version' => 1])
        ->assertConflict()->assertJson(['version' => 2, 'source' => 'mine, more', 'by' => 'A Teacher']);
    expect(BriefDraft::query()->sole()->source)->toBe('mine, more');

    $this->deleteJson("$this->at/brief/draft")->assertNoContent();
    $this->putJson(
        "$this->at/brief/draft",
        ['source' => 'x', 'version' => 2],
    )->assertConflict()->assertSee('Load this page again');
});

it('is in use only when somebody says so, and then is no draft any more', function () {
    $this->putJson("$this->at/brief/draft", ['source' => self::BRIEF, 'version' => 0])->assertOk();
    expect($this->assignment->briefs()->count())->toBe(0);
    $this->putJson("$this->at/brief", ['source' => self::BRIEF])->assertOk();
    $this->getJson("$this->at/brief/draft")->assertJson(['version' => 0, 'source' => self::BRIEF]);
});

it('tells a form all that a brief can ask for, from the core’s declarations', function () {
    $kinds = $this->getJson('/api/brief-kinds')->assertOk()->json();

    expect(array_column($kinds['kinds'], 'kind'))->toBe(InkedMargin\Core\Brief\Kinds::names())
        ->and(count($kinds['readyMade']))->toBeGreaterThan(30)
        ->and($kinds['terms'][0])->toMatchArray(['name' => 'id', 'type' => 'text', 'required' => true]);
});
