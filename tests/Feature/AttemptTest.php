<?php

declare(strict_types=1);

use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user);
    $this->first = $this->handIn($this->work, [
        'index.html' => Samples::page("<img src=\"a.png\">\n<p lnag=\"x\">1</p>"), 'a.png' => 'x',
        'old.html' => Samples::page('o'),
    ]);
    $this->second = $this->handIn($this->work, [
        'index.html' => Samples::page("<p>new</p>\n<img src=\"a.png\">\n<blink>1</blink>"), 'a.png' => 'x',
        'a.html' => Samples::page('a'),
    ]);
});

it('tells what was mended, what is still there and what is new, with files and points', function () {
    $told = $this->getJson("/api/hand-ins/{$this->second->id}/attempts")->assertOk()->json();
    $rules = fn (string $list) => array_values(array_unique(array_column($told[$list], 'rule')));

    expect($told['before']['attempt'])->toBe(1)
        ->and($rules('mended'))->toContain('markup/unknown-attribute')->toContain('file/missing')
        ->and($rules('still'))->toContain('markup/missing-alt')->not->toContain('markup/unknown-attribute')
        ->and($rules('fresh'))->toContain('markup/obsolete-element')->not->toContain('markup/missing-alt')
        ->and(array_column($told['files'], 'change', 'path'))
        ->toBe(['a.html' => 'added', 'a.png' => 'same', 'index.html' => 'changed', 'old.html' => 'taken out'])
        ->and($told['points'])->toBe([['title' => 'Files', 'before' => 2, 'now' => 4, 'possible' => 4]])
        ->and([$told['awardedBefore'], $told['awardedNow']])->toBe([2, 4]);
});

it('holds an attempt against the one that is named, also a later one', function () {
    $this->getJson("/api/hand-ins/{$this->first->id}/attempts?with=2")->assertOk()->assertJsonPath('before.attempt', 2);
    $this->getJson("/api/hand-ins/{$this->first->id}/attempts")->assertNotFound();
    $this->getJson("/api/hand-ins/{$this->second->id}/attempts?with=9")->assertNotFound();
    $this->getJson(
        "/api/hand-ins/{$this->second->id}/attempts?with[]=1",
    )->assertUnprocessable()->assertSee('takes one value');
});

it('gives the element of a line and the line of an element', function () {
    $at = "/api/hand-ins/{$this->second->id}/elements?leaf=index.html";
    $line = $this->getJson("$at&line=9")->assertOk()->json();
    expect($this->getJson("$at&at=$line[at]")->assertOk()->json())->toBe($line);
    $this->getJson("$at&at=9.9")->assertNotFound();
    $this->getJson("$at&at=x")->assertUnprocessable();
    $this->getJson("/api/hand-ins/{$this->second->id}/elements?leaf=none.html&line=1")->assertNotFound();
});
