<?php

declare(strict_types=1);

use App\Models\HandIn;
use App\Models\Reply;
use App\Models\Student;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['a' => 'Abel', 'b' => 'Briony', 'c' => 'Corin']);
    $hand = function (string $handle): HandIn {
        $arrival = $this->arrival($this->work, (string) file_get_contents(Samples::zip(['index.html' => Samples::page("<img src=\"$handle.png\">")])), 'x.zip');
        $arrival->update(['student_id' => Student::query()->where('handle', $handle)->value('id')]);
        dispatch_sync(new \App\Jobs\UnpackArrival($arrival->id));

        return HandIn::query()->findOrFail($arrival->refresh()->hand_in_id);
    };
    $this->hands = ['Abel' => $hand('a'), 'Briony' => $hand('b')];
    $this->at = "/api/assignments/{$this->work->id}/replies";
    $this->ready = fn () => array_map(
        fn (array $one) => [$one['student'], $one['inked'], $one['again']],
        $this->getJson($this->at)->assertOk()->json(),
    );
});

it('tells which replies of a class are ready, with what is still in pencil', function () {
    $found = $this->hands['Abel']->run->foundCount();
    $this->putJson("/api/hand-ins/{$this->hands['Abel']->id}/verdicts/{$this->hands['Abel']->run->findings[0]->fingerprint}", ['state' => 'inked']);
    $this->postJson("/api/hand-ins/{$this->hands['Briony']->id}/notes", ['body' => 'Good', 'kind' => 'merit']);
    $told = $this->getJson($this->at)->assertOk()->json();
    expect(($this->ready)())->toBe([['Abel', 1, false], ['Briony', 1, false]])->and($told[0]['pencilled'])->toBe($found - 1);

    // What is put by is not ready.
    $this->putJson("/api/hand-ins/{$this->hands['Abel']->id}/put-by", ['why' => 'ask']);
    expect(($this->ready)())->toBe([['Briony', 1, false]]);
});

it('releases those that are named, once, and again only what says something new', function () {
    $ids = array_values(array_map(fn (HandIn $one) => $one->id, $this->hands));
    $this->postJson($this->at, ['handIns' => [$ids[1]]])->assertOk()->assertExactJson(['released' => 1]);
    $this->postJson($this->at, ['handIns' => $ids])->assertOk()->assertExactJson(['released' => 1]);
    expect(($this->ready)())->toBe([])->and(Reply::query()->count())->toBe(2)
        ->and(HandIn::query()->where('waits', true)->count())->toBe(0);

    $this->postJson("/api/hand-ins/$ids[0]/notes", ['body' => 'One more thing', 'kind' => 'note']);
    expect(($this->ready)())->toBe([['Abel', 1, true]]);
    $this->postJson($this->at, ['handIns' => $ids])->assertExactJson(['released' => 1]);
    expect(Reply::query()->orderBy('number')->pluck('number')->all())->toBe([1, 1, 2]);

    // Nothing of another course, and nothing by an odd name.
    $other = $this->handIn($this->assignment($this->instructor('other@example.org')));
    $this->postJson($this->at, ['handIns' => [$other->id]])->assertExactJson(['released' => 0]);
    $this->postJson($this->at, ['handIns' => ['x']])->assertUnprocessable();
});

it('gives a reply as one page that loads nothing, with all that the student reads', function () {
    $at = "/api/hand-ins/{$this->hands['Abel']->id}";
    $this->putJson("$at/verdicts/".$this->hands['Abel']->run->findings()->reorder()->where('rule', 'markup/missing-alt')->value('fingerprint'), ['state' => 'inked']);
    $this->postJson("$at/notes", ['body' => 'Dear **Abel** <script>alert(1)</script> ![x](https://evil.example/x.png)', 'kind' => 'opening']);
    $this->postJson("$at/notes", ['body' => 'Why?', 'kind' => 'question', 'file' => 'index.html', 'line' => 2]);
    $this->putJson("$at/mended/index.html", ['text' => str_replace('<img', '<img alt="A & B"', Samples::page('<img src="a.png">'))]);
    $this->patchJson("$at/mended/index.html", ['inReply' => true, 'follow' => true]);
    $html = (string) $this->get("$at/reply.html")->assertOk()->assertHeader('Content-Type', 'text/html; charset=utf-8')->getContent();

    expect($html)->toContain('<strong>Abel</strong>')->toContain('A question:')->toContain('<code>a.png</code> has no alt text')
        ->toContain('aria-label="insert"')->toContain('&lt;img alt=&quot;A &amp; B&quot; src=&quot;a.png&quot;&gt;')->toContain('2 of 4')
        ->toContain("default-src 'none'")->not->toContain('<script')->not->toContain('<link');
    // Our own reader has nothing against it but what the words of a reply bring.
    $page = new DOMDocument;
    @$page->loadHTML($html);
    $sources = [];
    foreach ((new DOMXPath($page))->query('//@src | //@href') ?: [] as $source) {
        $sources[] = $source->nodeValue;
    }
    expect($sources)->toBe(['https://evil.example/x.png'])->and($html)->toContain("style-src 'unsafe-inline'");

    // Once it is released, it is that one, whatever is written after.
    $this->postJson("$at/replies")->assertNoContent();
    $this->postJson("$at/notes", ['body' => 'An afterthought', 'kind' => 'note']);
    expect((string) $this->get("$at/reply.html")->getContent())->toBe($html);
});
