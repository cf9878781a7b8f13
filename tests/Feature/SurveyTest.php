<?php

declare(strict_types=1);

use App\Models\CheckRun;
use Illuminate\Support\Facades\DB;
use InkedMargin\Core\Tests\Samples;

/** So many pages in a chain, the first of which links to none. */
function chained(int $count): array
{
    $pages = [];
    for ($page = 0; $page < $count; $page++) {
        $pages[$page === 0 ? 'index.html' : "p$page.html"] = Samples::page(
            '<a href="p'.($page + 1).'.html">On</a>'
                .($page === 0 ? '' : ' <a href="'.($page === 1 ? 'index' : 'p'.($page - 1)).'.html">Back</a>'),
            "Page $page",
        );
    }

    return $pages;
}

beforeEach(function () {
    $this->user = $this->instructor();
    $this->assignment = $this->assignment($this->user);
    $this->actingAs($this->user);
});

it('shows the pages side by side, what they link to, and the pattern', function () {
    $handIn = $this->handIn($this->assignment, chained(4));

    $this->getJson("/api/hand-ins/$handIn->id/survey")->assertOk()->assertJson([
        'ready' => true, 'all' => [
            'index.html', 'p1.html', 'p2.html', 'p3.html',
        ], 'around' => null, 'usualMenu' => null,
        'pages' => [[
            'path' => 'index.html',
            'title' => 'Page 0',
            'heading' => 'Page 0',
            'distance' => 0,
            'deadEnd' => false,
            'wayHome' => true,
            'linkedFrom' => 1,
        ]],
        'pattern' => [
            'kind' => 'chain',
            'asked' => false,
            'order' => ['index.html', 'p1.html', 'p2.html', 'p3.html'],
            'met' => 6,
            'of' => 6,
        ],
    ])->assertJsonFragment([
        'from' => 'p1.html',
        'to' => 'p2.html',
        'label' => 'On',
        'verdict' => 'found',
        'back' => true,
    ])
        ->assertJsonFragment(['from' => 'p3.html', 'to' => 'p4.html', 'verdict' => 'missing-file', 'back' => false]);
});

it('shows the neighbours of one page of a large site', function () {
    $handIn = $this->handIn($this->assignment, chained(70));
    $survey = $this->getJson("/api/hand-ins/$handIn->id/survey?around=p30.html")->assertOk();

    expect(array_column($survey->json('pages'), 'path'))->toBe(['p29.html', 'p30.html', 'p31.html'])
        ->and($survey->json('around'))->toBe('p30.html')->and($survey->json('all'))->toHaveCount(70);
    $this->getJson("/api/hand-ins/$handIn->id/survey?around=none.html")->assertJsonPath('around', 'index.html');
});

it('makes the survey that a run of an earlier version lacks, and keeps it', function () {
    $handIn = $this->handIn($this->assignment, chained(3));
    $kept = DB::table('surveys')->value('content');
    DB::table('surveys')->delete();

    $this->getJson("/api/hand-ins/$handIn->id/survey")->assertJsonCount(3, 'pages');
    expect(DB::table('surveys')->value('content'))->toBe($kept);
});

it('says that it is not ready while the check is not', function () {
    $handIn = $this->handIn($this->assignment, chained(3));
    CheckRun::query()->update(['state' => 'running', 'finished_at' => null]);

    $this->getJson("/api/hand-ins/$handIn->id/survey")->assertOk()->assertJson(['ready' => false, 'pages' => []]);
});

it('shows a survey to nobody who does not teach the course', function () {
    $handIn = $this->handIn($this->assignment, chained(3));

    $this->actingAs(
        $this->instructor('other@example.org'),
    )->getJson("/api/hand-ins/$handIn->id/survey")->assertForbidden();
});

it('keeps how a hand-in was packed, and tells who packed otherwise than the class', function () {
    $assignment = $this->assignment(
        $this->user,
        array_combine(['afinch', 'bfinch', 'cfinch', 'dfinch'], ['A Finch', 'B Finch', 'C Finch', 'D Finch']),
    );
    foreach (['afinch', 'bfinch', 'cfinch', 'dfinch'] as $handle) {
        $folder = $handle === 'dfinch' ? '' : 'site/';
        $arrival = $this->arrival(
            $assignment,
            (string) file_get_contents(Samples::zip(["{$folder}index.html" => Samples::page($handle)])),
            "$handle.zip",
        );
        dispatch_sync(new App\Intake\UnpackArrival($arrival->id));
    }

    expect($assignment->handIns()->with('student')->get()->mapWithKeys(fn ($handIn) => [
        $handIn->student->handle => $handIn->folders,
    ])->sortKeys()->all())->toBe(['afinch' => ['site'], 'bfinch' => ['site'], 'cfinch' => ['site'], 'dfinch' => []])
        ->and(App\Models\Finding::query()->where('rule', 'file/folder-shape')->count())->toBe(1);
});

it('has what an earlier version checked checked again, once, and keeps what was decided', function () {
    $handIn = $this->handIn($this->assignment);
    $finding = App\Models\Finding::query()->where('rule', 'markup/missing-alt')->firstOrFail();
    $this->putJson("/api/hand-ins/$handIn->id/verdicts/$finding->fingerprint", ['state' => 'inked'])->assertNoContent();
    CheckRun::query()->update(['engine' => '0.1.0', 'key' => 'older', 'created_at' => now()->subDay()]);

    $this->artisan('hand-ins:check-again')->expectsOutput('1 to be checked again.')->assertSuccessful();
    $this->artisan('hand-ins:check-again')->expectsOutput('0 to be checked again.')->assertSuccessful();
    expect($handIn->runs()->count())->toBe(2);
    $this->getJson(
        "/api/hand-ins/$handIn->id",
    )->assertJsonFragment(['rule' => 'markup/missing-alt', 'state' => 'inked']);
});
