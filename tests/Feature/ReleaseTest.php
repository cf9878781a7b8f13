<?php

declare(strict_types=1);

use App\Mail\ReplyReleased;
use App\Models\HandIn;
use App\Models\Reply;
use App\Models\Student;
use Illuminate\Support\Facades\Mail;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['a' => 'Abel', 'b' => 'Briony', 'c' => 'Corin']);
    $hand = function (string $handle): HandIn {
        $arrival = $this->arrival(
            $this->work,
            (string) file_get_contents(Samples::zip(['index.html' => Samples::page("<img src=\"$handle.png\">")])),
            'x.zip',
        );
        $arrival->update(['student_id' => Student::query()->where('handle', $handle)->value('id')]);
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));

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
    $this->putJson(
        "/api/hand-ins/{$this->hands['Abel']->id}/verdicts/{$this->hands['Abel']->run->findings[0]->fingerprint}",
        ['state' => 'inked'],
    );
    $this->postJson("/api/hand-ins/{$this->hands['Briony']->id}/notes", ['body' => 'Good', 'kind' => 'merit']);
    $told = $this->getJson($this->at)->assertOk()->json();
    expect(($this->ready)())->toBe([['Abel', 1, false], ['Briony', 1, false]])
        ->and($told[0]['pencilled'])->toBe($found - 1);

    // What is put by is not ready.
    $this->putJson("/api/hand-ins/{$this->hands['Abel']->id}/put-by", ['why' => 'ask']);
    expect(($this->ready)())->toBe([['Briony', 1, false]]);
});

it('releases those that are named, once, and again only what says something new', function () {
    $ids = array_values(array_map(fn (HandIn $one) => $one->id, $this->hands));
    $this->postJson($this->at, ['handIns' => [$ids[1]]])->assertOk()->assertJson(
        ['released' => 1, 'letters' => 0, 'withoutAddress' => []],
    );
    $this->postJson($this->at, ['handIns' => $ids])->assertOk()->assertJson(
        ['released' => 1, 'letters' => 0, 'withoutAddress' => []],
    );
    expect(($this->ready)())->toBe([])->and(Reply::query()->count())->toBe(2)
        ->and(HandIn::query()->where('waits', true)->count())->toBe(0);

    $this->postJson("/api/hand-ins/$ids[0]/notes", ['body' => 'One more thing', 'kind' => 'note']);
    expect(($this->ready)())->toBe([['Abel', 1, true]]);
    $this->postJson($this->at, ['handIns' => $ids])->assertJson(
        ['released' => 1, 'letters' => 0, 'withoutAddress' => []],
    );
    expect(Reply::query()->orderBy('number')->pluck('number')->all())->toBe([1, 1, 2]);

    // Nothing of another course, and nothing by an odd name.
    $other = $this->handIn($this->assignment($this->instructor('other@example.org')));
    $this->postJson($this->at, ['handIns' => [$other->id]])->assertJson(
        ['released' => 0, 'letters' => 0, 'withoutAddress' => []],
    );
    $this->postJson($this->at, ['handIns' => ['x']])->assertUnprocessable();
});

it('gives a reply as one page that loads nothing, with all that the student reads', function () {
    $at = "/api/hand-ins/{$this->hands['Abel']->id}";
    $this->putJson(
        "$at/verdicts/".$this->hands['Abel']->run->findings()->reorder()
            ->where('rule', 'markup/missing-alt')->value('fingerprint'),
        ['state' => 'inked'],
    );
    $this->postJson(
        "$at/notes",
        ['body' => 'Dear **Abel** <script>alert(1)</script> ![x](https://evil.example/x.png)', 'kind' => 'opening'],
    );
    $this->postJson("$at/notes", ['body' => 'Why?', 'kind' => 'question', 'file' => 'index.html', 'line' => 2]);
    $this->putJson(
        "$at/mended/index.html",
        ['text' => str_replace('<img', '<img alt="A & B"', Samples::page('<img src="a.png">'))],
    );
    $this->patchJson("$at/mended/index.html", ['inReply' => true, 'follow' => true]);
    $html = (string) $this->get("$at/reply.html")->assertOk()
        ->assertHeader('Content-Type', 'text/html; charset=utf-8')->getContent();

    expect($html)->toContain('<strong>Abel</strong>')->toContain('A question:')
        ->toContain('<code>a.png</code> has no alt text')
        ->toContain('aria-label="insert"')->toContain(
            '&lt;img alt=&quot;A &amp; B&quot; src=&quot;a.png&quot;&gt;',
        )->toContain('2 of 4')
        ->toContain("default-src 'none'")->not->toContain('<script')->not->toContain('<link');
    // Our own reader has nothing against it but what the words of a reply bring.
    $page = new DOMDocument;
    @$page->loadHTML($html);
    $sources = [];
    foreach ((new DOMXPath($page))->query('//@src | //@href') ?: [] as $source) {
        $sources[] = $source->nodeValue;
    }
    expect($sources)->toBe([])->and($html)->toContain("style-src 'unsafe-inline'");

    // Once it is released, it is that one, whatever is written after.
    $this->postJson("$at/replies")->assertOk();
    $this->postJson("$at/notes", ['body' => 'An afterthought', 'kind' => 'note']);
    expect((string) $this->get("$at/reply.html")->getContent())->toBe($html);
});

it('tells students by letter that their reply is there, as far as they have an address', function () {
    Mail::fake();
    Student::query()->where('handle', 'a')->update(['email' => 'abel@example.org']);
    expect(array_column($this->getJson($this->at)->json(), 'hasAddress'))->toBe([true, false]);
    $ids = array_values(array_map(fn (HandIn $one) => $one->id, $this->hands));
    $this->postJson($this->at, ['handIns' => $ids, 'letters' => true])->assertOk()
        ->assertExactJson(['released' => 2, 'letters' => 1, 'withoutAddress' => ['Briony']]);
    Mail::assertQueuedCount(1);
    Mail::assertQueued(ReplyReleased::class, function (ReplyReleased $letter) use ($ids): bool {
        // The link leads to the reply, without a log-in.
        $this->app['auth']->forgetGuards();
        $api = str_replace([config('app.url').'/my/', '/replies/'], ['/api/my/', '/hand-ins/'], $letter->link).'/reply';

        return $letter->hasTo('abel@example.org') && str_ends_with($letter->link, "/replies/$ids[0]")
            && str_contains($letter->render(), $letter->link)
            && $this->getJson($api)->assertOk()->json('student') === 'Abel';
    });
});

it('says in a reply that supersedes another what has changed', function () {
    $at = "/api/hand-ins/{$this->hands['Abel']->id}";
    $note = $this->postJson(
        "$at/notes",
        ['body' => 'Mind this', 'kind' => 'note', 'file' => 'index.html', 'line' => 3],
    )->json('id');
    $this->postJson("$at/replies")->assertOk();
    expect($this->getJson("$at/reply")->json())->toMatchArray(['changes' => [], 'changedSince' => false]);

    $this->deleteJson("/api/notes/$note")->assertNoContent();
    $this->postJson("$at/notes", ['body' => 'Well drawn', 'kind' => 'merit']);
    $this->putJson("$at/marks/files", ['points' => 4, 'reason' => 'agreed']);
    $expected = [
        ['kind' => 'added', 'place' => 'The whole hand-in', 'text' => 'Well drawn'],
        ['kind' => 'taken out', 'place' => 'index.html, line 3', 'text' => 'Mind this'],
        ['kind' => 'points', 'place' => 'Files', 'text' => '2 of 4; now 4 of 4'],
    ];
    expect($this->getJson("$at/reply")->json('changes'))->toBe($expected);
    $this->postJson("$at/replies")->assertOk();
    $released = $this->getJson("$at/reply")->assertOk()->json('released.0.content');
    expect($released['supersedes']['changes'])->toBe($expected)
        ->and((string) $this->get("$at/reply.html")->getContent())->toContain('Changed since the reply of')
        ->and((string) $this->get("$at/reply.md")->getContent())->toContain('- Points, Files: 2 of 4; now 4 of 4')
        // Nothing is new then.
        ->and($this->getJson("$at/reply")->json('changedSince'))->toBeFalse();
});

it('counts a remark that is there twice', function () {
    $at = "/api/hand-ins/{$this->hands['Abel']->id}";
    $write = fn () => $this->postJson(
        "$at/notes",
        ['body' => 'Again', 'kind' => 'note', 'file' => 'index.html', 'line' => 3],
    );
    $write();
    $this->postJson("$at/replies")->assertOk();
    $write();
    expect($this->getJson("$at/reply")->json('changes'))->toBe(
        [['kind' => 'added', 'place' => 'index.html, line 3', 'text' => 'Again']],
    );
});

it('praises first, quotes the lines that are meant, and tells how points came about', function () {
    $at = "/api/hand-ins/{$this->hands['Abel']->id}";
    $this->postJson("$at/notes", ['body' => 'Mind this', 'kind' => 'note', 'file' => 'index.html', 'line' => 8]);
    $this->postJson("$at/notes", ['body' => 'Well drawn', 'kind' => 'merit', 'file' => 'index.html', 'line' => 1]);
    $html = (string) $this->get("$at/reply.html")->getContent();
    $order = array_map(
        fn (string $words) => strpos($html, $words),
        [
            'Well done',
            'Well drawn',
            'Points',
            '>index.html</h2>',
            '<b>&lt;img src=&quot;a.png&quot;&gt;</b>',
            'Mind this',
        ],
    );
    expect($order)->not->toContain(false)->toBe(collect($order)->sort()->values()->all())
        ->and($this->getJson("$at/reply")->json('draft.points.0.how'))->not->toBeNull();
});

it('takes a reply that was released before lines were quoted for what it says', function () {
    $at = "/api/hand-ins/{$this->hands['Abel']->id}";
    $this->postJson("$at/notes", ['body' => 'Mind this', 'kind' => 'note', 'file' => 'index.html', 'line' => 8]);
    $this->postJson("$at/replies")->assertOk();
    $reply = Reply::query()->sole();
    $old = $reply->content;
    unset($old['pages'][0]['items'][0]['lines'], $old['points'][0]['how'], $old['supersedes']);
    $reply->update(['content' => $old]);
    expect($this->getJson("$at/reply")->assertOk()->json('changedSince'))->toBeFalse();
    $this->get("$at/reply.html")->assertOk();
});
