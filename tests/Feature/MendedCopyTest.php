<?php

declare(strict_types=1);

use App\Models\HandInFile;
use App\Models\MendedStep;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user);
    $this->page = Samples::page(
        "<h1>Übersicht 🐦</h1>\n<img src=\"a.png\">\n<p titel=\"center\">x</p>\n<p align=\"left\">y</p>",
    );
    $this->handIn = $this->handIn($this->work, [
        'index.html' => $this->page, 'a.png' => 'x',
        'old.html' => mb_convert_encoding(
            '<!DOCTYPE html><html lang="en"><head><meta charset="windows-1252"><title>Ö</title></head><body><p>Möwe</p></body></html>',
            'Windows-1252',
            'UTF-8',
        ),
    ]);
    $this->of = fn (string $what, string $path = 'index.html') => "/api/hand-ins/{$this->handIn->id}/$what/$path";
    $this->check = fn (string $text) => $this
        ->postJson(($this->of)('mended-check'), ['text' => $text])->assertOk()->json();
});

it('begins with the original, and never changes it', function () {
    $this->getJson(($this->of)('mended'))->assertOk()->assertJson([
        'refusal' => null, 'original' => $this->page, 'text' => $this->page, 'steps' => [], 'inReply' => false,
    ]);
    $mended = str_replace('<img src="a.png">', '<img src="a.png" alt="A gull">', $this->page);
    $this->putJson(($this->of)('mended'), ['text' => $mended, 'words' => 'alt', 'after' => 0])->assertOk()
        ->assertJson(['text' => $mended, 'original' => $this->page, 'steps' => [['number' => 1, 'words' => 'alt']]]);

    $this->getJson(($this->of)('source'))->assertOk()->assertJson(['text' => $this->page]);
    expect(HandInFile::query()->where('path', 'index.html')->value('sha256'))->toBe(hash('sha256', $this->page));
    $this->getJson("/api/hand-ins/{$this->handIn->id}")->assertJson(['mended' => ['index.html']]);
});

it('goes back to any step, and keeps those after it', function () {
    foreach (['one', 'two', 'three'] as $nth => $word) {
        $this->putJson(($this->of)('mended'), ['text' => $word, 'words' => $word, 'after' => $nth])->assertOk();
    }
    $this->getJson(($this->of)('mended-steps/1'))->assertOk()->assertJson(['text' => 'one']);
    $this->getJson(($this->of)('mended-steps/0'))->assertOk()->assertJson(['text' => $this->page]);
    $this->putJson(($this->of)('mended'), ['text' => 'one', 'words' => 'back to step 1', 'after' => 3])->assertOk()
        ->assertJson(['text' => 'one'])->assertJsonCount(4, 'steps');
    $this->getJson(($this->of)('mended-steps/3'))->assertJson(['text' => 'three']);
    $this->getJson(($this->of)('mended-steps/9'))->assertNotFound();
});

it('refuses what was made from an older step, and keeps both', function () {
    $this->putJson(($this->of)('mended'), ['text' => 'theirs', 'after' => 0])->assertOk();
    $this->putJson(($this->of)('mended'), ['text' => 'mine', 'after' => 0])->assertStatus(409)
        ->assertJson([
            'message' => 'Somebody has mended this page since you opened it. Theirs is kept; yours is still in the box.',
        ]);
    expect(MendedStep::query()->count())->toBe(1);

    // Sent twice because an answer was lost, it is one step, and no quarrel.
    $this->putJson(($this->of)('mended'), ['text' => 'theirs', 'after' => 0])->assertOk()->assertJsonCount(1, 'steps');
});

it('tells what goes and what comes as it is mended', function () {
    $found = ($this->check)($this->page);
    expect($found['gone'])->toBe([])->and(array_filter($found['findings'], fn (array $one) => $one['fresh']))->toBe([]);

    $mended = str_replace('<img src="a.png">', '<img src="a.png" alt="A gull"><b>', $this->page);
    $found = ($this->check)($mended);
    $rules = fn (bool $fresh) => array_values(
        array_unique(array_column(
            array_filter($found['findings'], fn (array $one) => $one['fresh'] === $fresh),
            'rule',
        )),
    );
    expect($found['gone'])->toHaveCount(1)->and($rules(true))->toContain('markup/unclosed-element')
        ->and($rules(false))->toContain('markup/unknown-attribute');

    // What only moved is neither.
    $moved = ($this->check)(str_replace('<h1>', "<p>new</p>\n<h1>", $this->page));
    expect($moved['gone'])->toBe([])->and(array_filter($moved['findings'], fn (array $one) => $one['fresh']))->toBe([]);
});

it('gives mends at places of the text as a browser counts, and taking one mends it', function () {
    $found = ($this->check)($this->page);
    $mend = collect($found['findings'])->firstWhere('rule', 'markup/unknown-attribute');
    $units = mb_convert_encoding($this->page, 'UTF-16LE', 'UTF-8');
    foreach (array_reverse($mend['edits']) as ['from' => $from, 'to' => $to, 'insert' => $insert]) {
        $units = substr_replace(
            $units,
            mb_convert_encoding($insert, 'UTF-16LE', 'UTF-8'),
            2 * $from,
            2 * ($to - $from),
        );
    }
    $mended = mb_convert_encoding($units, 'UTF-8', 'UTF-16LE');
    $after = ($this->check)($mended);

    expect($mend['edits'])->not->toBe([])->and($mended)->not->toBe($this->page)
        ->and($after['gone'])->toContain($mend['fingerprint']);
});

it('reads what is no HTML any more, and mends stylesheets too', function (string $text) {
    expect(($this->check)($text)['findings'])->toBeArray();
    $this->putJson(($this->of)('mended'), ['text' => $text, 'after' => 0])->assertOk()->assertJson(['text' => $text]);
})->with([
    'empty' => [''],
    'words' => ['not HTML any more'],
    'tags' => [str_repeat('<', 5_000)],
    'spaces around it' => ["  <p>\n\n"],
]);

it('makes none of what it could not give back as it was', function (string $path, string $words) {
    $this->getJson(($this->of)('mended', $path))->assertOk()->assertJsonPath(
        'refusal',
        fn (string $said) => str_contains($said, $words),
    );
    $this->putJson(($this->of)('mended', $path), ['text' => 'x'])->assertUnprocessable();
    $this->postJson(($this->of)('mended-check', $path), ['text' => 'x'])->assertUnprocessable();
    expect(MendedStep::query()->count())->toBe(0);
})->with(['a picture' => ['a.png', 'no text'], 'another encoding' => ['old.html', 'not UTF-8']]);

it('is part of the reply where that is wanted, as what differs', function () {
    $mended = str_replace('<img src="a.png">', '<img src="a.png" alt="A gull">', $this->page);
    $this->putJson(($this->of)('mended'), ['text' => $mended, 'after' => 0])->assertOk();
    $reply = fn () => $this->getJson("/api/hand-ins/{$this->handIn->id}/reply")->assertOk()->json('draft.mended');
    expect($reply())->toBe([]);

    $this->patchJson(($this->of)('mended'), ['inReply' => true, 'follow' => true])->assertNoContent();
    $places = $reply()[0]['places'];
    $changed = array_values(array_filter($places[0]['lines'], fn (array $line) => $line['step'] !== 'same'));
    expect($reply())->toHaveCount(1)->and($reply()[0])->toMatchArray(['file' => 'index.html', 'follow' => true])
        ->and(array_column($changed, 'step'))->toBe(['removed', 'added'])
        ->and($changed[1]['text'])->toBe('<img src="a.png" alt="A gull">');

    $this->postJson("/api/hand-ins/{$this->handIn->id}/replies")->assertOk();
    $this->getJson("/api/hand-ins/{$this->handIn->id}/reply")->assertJson(['changedSince' => false]);
    $markdown = $this->get("/api/hand-ins/{$this->handIn->id}/reply.md")->getContent();
    expect($markdown)->toContain('index.html, mended')->toContain('+<img src="a.png" alt="A gull">');

    // Back to the original, there is nothing to send.
    $this->putJson(($this->of)('mended'), ['text' => $this->page, 'after' => 1])->assertOk();
    expect($reply())->toBe([]);
});

it('counts a file with other line ends as the same', function () {
    $handIn = $this->handIn(
        $this->assignment($this->user),
        ['index.html' => "\u{FEFF}<!DOCTYPE html>\r\n<title>x</title>\r\n<p>x"],
    );
    $at = "/api/hand-ins/$handIn->id";
    $text = $this->getJson("$at/mended/index.html")->assertOk()->json('text');
    expect($text)->toBe("<!DOCTYPE html>\n<title>x</title>\n<p>x");
    expect($this->postJson("$at/mended-check/index.html", ['text' => $text])->json('gone'))->toBe([]);
    $this->putJson("$at/mended/index.html", ['text' => $text])->assertOk();
    $this->patchJson("$at/mended/index.html", ['inReply' => true, 'follow' => false])->assertNoContent();
    expect($this->getJson("$at/reply")->json('draft.mended'))->toBe([]);
});
