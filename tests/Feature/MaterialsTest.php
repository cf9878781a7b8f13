<?php

declare(strict_types=1);

use App\Models\Brief;
use App\Models\MaterialRole;
use App\Sites\MaterialStore;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->user = $this->instructor();
    $this->actingAs($this->user);
    $this->assignment = $this->assignment($this->user, brief: <<<'YAML'
        title: T
        marking: {off_per_fault: 0.5, off_per_day: 1, round_to: 0.5}
        requirements:
          - {id: copy, kind: text, title: The opening, points: 4, selector: p, copy: opening.txt}
          - {id: look, kind: look, title: Layout, points: 2}
        YAML);
    $this->give = function (MaterialRole $role, string $path, string $bytes): void {
        app(MaterialStore::class)->put($this->assignment, $role, new Site('given', [new SourceFile($path, $bytes)]));
        MaterialStore::keepWith($this->assignment->brief()->firstOrFail());
    };
    $this->hand = fn (string $body) => $this->handIn($this->assignment, ['index.html' => Samples::page($body)]);
});

it('checks against what the assignment gives, and keeps it with the next version of the brief', function () {
    ($this->give)(MaterialRole::Copy, 'opening.txt', 'The last crossing.');
    $handIn = ($this->hand)('<p>The last crossings.</p>');
    $outcomes = fn () => $this->getJson("/api/hand-ins/$handIn->id")->assertOk()->json('outcomes');

    expect($outcomes()[0])->toMatchArray(['outcome' => 'unmet', 'awarded' => 0])
        ->and($outcomes()[0]['shortfalls'][0]['message'])->toContain('says “crossing.” here, not “crossings.”');
    $source = Brief::query()->value('source')."# again\n";
    $this->putJson("/api/assignments/{$this->assignment->id}/brief", ['source' => $source])->assertOk();
    expect($outcomes()[0]['outcome'])->toBe('unmet')
        ->and(DB::table('brief_files')->count())->toBe(2);
    $this->artisan('blobs:collect')->assertSuccessful();
    expect($outcomes()[0]['outcome'])->toBe('unmet');
});

it('cannot tell where the text that is asked for was not given', function () {
    $handIn = ($this->hand)('<p>The last crossing.</p>');

    expect($this->getJson("/api/hand-ins/$handIn->id")->json('outcomes.0.measured'))->toBe(
        '`opening.txt` is not among the supplied texts',
    );
});

it('sums points with what findings and being late cost, shows how, and takes nothing for what is rubbed out', function () {
    ($this->give)(MaterialRole::Copy, 'opening.txt', 'The last crossing.');
    $this->assignment->update(['due_at' => now()->subHours(30)]);
    $handIn = ($this->hand)('<p>The last crossing.</p><img src="none.png"><img src="gone.png" alt="A quay">');
    $score = fn () => $this->getJson("/api/hand-ins/$handIn->id")->json('score');

    expect($score())->toMatchArray(['awarded' => 0.5, 'possible' => 6, 'open' => 2])
        ->and(array_column($score()['others'], 'points', 'title'))->toEqual(['Faults' => -1.5, 'Late' => -2]);
    $finding = App\Models\Finding::query()->where('rule', 'markup/missing-alt')->firstOrFail();
    $this->putJson(
        "/api/hand-ins/$handIn->id/verdicts/$finding->fingerprint",
        ['state' => 'rubbed-out'],
    )->assertNoContent();
    $this->putJson(
        "/api/hand-ins/$handIn->id/marks/look",
        ['points' => 2, 'reason' => 'Well laid out'],
    )->assertSuccessful();

    expect($score())->toMatchArray(['awarded' => 3, 'possible' => 6, 'open' => 0]);
    $list = $this->getJson("/api/assignments/{$this->assignment->id}")->json('handIns.0');
    $reply = $this->get("/api/hand-ins/$handIn->id/reply.md")->assertOk()->getContent();
    expect($list)->toMatchArray(['awarded' => 3, 'possible' => 6])
        ->and($reply)->toContain('- Faults: -1 (2 faults that no requirement covers, 0.5 off for each)')
        ->toContain('- Late: -2 (2 days late, 1 point off for each)')->toContain('**3 of 6 points**');
});

it('offers the words of a scale for what only a person can judge, with the points of each', function () {
    $handIn = ($this->hand)('<p>One.</p>');
    $outcomes = $this->getJson("/api/hand-ins/$handIn->id")->json('outcomes');

    expect($outcomes[0]['choices'])->toBe([])
        ->and($outcomes[1])->toMatchArray(['outcome' => 'not-judged', 'possible' => 2])
        ->and(array_column($outcomes[1]['choices'], 'points', 'words'))
        ->toEqual(['hard to read' => 0, 'can be read' => 0.67, 'reads well' => 1.33, 'a pleasure' => 2]);
});

it('tries a brief without keeping anything, and says for whom what would change', function () {
    $handIn = ($this->hand)('<p>One.</p>');
    $this->putJson("/api/hand-ins/$handIn->id/marks/look", ['points' => 1, 'reason' => 'Plain'])->assertSuccessful();
    $source = "title: T\nrequirements:\n  - {id: look, kind: look, title: Layout, points: 2}\n  - {id: p, kind: count, title: Two paragraphs, points: 3, selector: p, exactly: 2}\n";
    $tried = $this->postJson("/api/assignments/{$this->assignment->id}/brief/trial", ['source' => $source])->assertOk();

    $tried->assertJsonPath('left', 0)->assertJsonPath('handIns.0.student', 'Willa Finch')
        ->assertJsonPath('handIns.0.awarded', 1)->assertJsonPath('handIns.0.possibleAfter', 5)
        ->assertJsonPath('handIns.0.awardedAfter', 1)
        ->assertJsonPath('handIns.0.changes', [
            ['title' => 'Two paragraphs', 'before' => null, 'after' => 'unmet, 0 of 3'],
            ['title' => 'The opening', 'before' => 'not judged yet, 4 can be had', 'after' => null],
        ]);
    expect($this->assignment->briefs()->count())->toBe(1);
    $this->postJson(
        "/api/assignments/{$this->assignment->id}/brief/trial",
        ['source' => 'title: T'],
    )->assertUnprocessable();
});

it('serves the schema of a brief, for editors', fn () => $this->get('/api/brief.schema.json')->assertOk()
    ->assertHeader('Content-Type', 'application/schema+json')->assertSee('draft/2020-12/schema', false));
