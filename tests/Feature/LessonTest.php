<?php

declare(strict_types=1);

use App\Models\Student;
use App\Replies\Lessons\Anonymizer;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['a' => 'Abel Fennimore', 'b' => 'Briony']);
    $hand = function (string $handle, string $body): void {
        $arrival = $this->arrival(
            $this->work,
            (string) file_get_contents(Samples::zip(['index.html' => Samples::page($body)])),
            'x.zip',
        );
        $arrival->update(['student_id' => Student::query()->where('handle', $handle)->value('id')]);
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));
    };
    $hand(
        'a',
        "<p>By Abel Fennimore</p><!-- ABEL  fennimore -->\n<p><img src=\"Fennimore.png\" title=\"abel\"> abelia</p>",
    );
    $hand('b', '<p><img src="b.png"><img src="longer-name.png"></p>');
    $this->at = "/api/assignments/{$this->work->id}/lesson";
    $this->kinds = ['kinds' => ['markup/missing-alt,none', 'markup/indentation', 'nav/ring-broken']];
});

it('makes a page of each chosen slip, with an example of each student and no names', function () {
    $lesson = $this->getJson("$this->at?".http_build_query($this->kinds))->assertOk()->json();
    expect(array_column($lesson['pages'], 'rule'))->toContain('markup/missing-alt')->not->toContain('nav/ring-broken');
    $page = collect($lesson['pages'])->sole('rule', 'markup/missing-alt');
    expect($page)->toMatchArray(['title' => 'Missing alt text', 'handIns' => 2])
        ->and($page['written'])->toHaveCount(2)
        ->and($page['written'][0]['lines'][1]['meant'])->toBe('<img src="b.png">')
        ->and($page['why'])->toStartWith('People who cannot see the picture')
        ->and($page['message'])->toBe(
            'The picture `b.png` has no alt text, so people who cannot see it learn nothing about it.',
        )
        ->and($page['remedy'])->toStartWith('Add `alt="…"`')
        ->and($page['bad'])->not->toContain('alt=')
        ->and($page['good'])->toContain('alt="A gull on the quay"')
        ->and($page['source'])->toBe('WCAG 2.2, 1.1.1 Non-text Content');
    $quoted = implode(
        "\n",
        array_map(fn (array $line) => $line['before'].$line['meant'].$line['after'], $page['written'][1]['lines']),
    );
    expect($quoted)->toContain('<p>By …</p><!-- … -->')->toContain('<img src="….png" title="abel"> abelia');
});

it('comes as Markdown and as one page that loads nothing, with the same words', function (string $ending, string $type) {
    $text = (string) $this->get("$this->at.$ending?".http_build_query($this->kinds))->assertOk()
        ->assertHeader('Content-Type', "$type; charset=utf-8")->getContent();
    expect($text)->toContain('What was written')->toContain('Why it matters')->toContain('How it should be')
        ->toContain('learn nothing about it')->toContain('An example')->toContain('Source: WCAG 2.2')
        ->not->toContain('Fennimore')
        ->and(preg_match('/<(?:script|link|img\s[^>]*src="http)/', $text))->toBe(0);
})->with([['md', 'text/markdown'], ['html', 'text/html']]);

it('has no page when nothing is chosen, and refuses more than fit into a lesson', function () {
    $this->getJson($this->at)->assertOk()->assertJson(['pages' => []]);
    $this->getJson("$this->at?".http_build_query(['kinds' => array_fill(0, 13, 'x')]))->assertUnprocessable();
});

it('takes names out of what a student wrote, and no words that are like them', function (string $text, string $expected) {
    $student = new Student(['name' => 'Rose Al Field-Marsh', 'handle' => 'rmarsh', 'email' => 'rose@example.org']);
    expect(Anonymizer::of($student)->in($text))->toBe($expected);
})->with([
    ['By rose al  FIELD-marsh.', 'By ….'],
    ['mailto:Rose@Example.org', 'mailto:…'],
    ['<a href="/~rmarsh/">', '<a href="/~…/">'],
    ['Rose says', '… says'],
    // As words of the language they stay.
    ['a rose, an al, <fieldset>, RoseGarden', 'a rose, an al, <fieldset>, RoseGarden'],
]);

it('changes nothing for a student who is known by nothing', function () {
    expect(Anonymizer::of(
        new Student(['name' => 'Al', 'handle' => 'a', 'email' => '']),
    )->in('Al and a'))->toBe('Al and a');
});
