<?php

declare(strict_types=1);

use App\Models\MaterialRole;
use App\Sites\MaterialStore;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->user = $this->instructor();
    $this->actingAs($this->user);
    $this->assignment = $this->assignment($this->user);
    app(MaterialStore::class)->put($this->assignment, MaterialRole::Model, new Site('given', [
        new SourceFile(
            'index.html',
            Samples::page('<p><a href="pages/two.html">Two</a> <a href="gone.html">Gone</a></p>'),
        ),
        new SourceFile('pages/index.html', Samples::page('<p>Inside</p>')),
        new SourceFile('pages/two.html', Samples::page('<p>Two</p>')),
        new SourceFile('style.css', 'p { color: navy }'),
    ]));
    $this->at = "/api/assignments/{$this->assignment->id}/sites";
    // As a frame in the interface asks for it, from another host.
    $this->frame = fn (string $url) => $this->get(
        $url,
        ['Host' => parse_url($url, PHP_URL_HOST).':'.parse_url($url, PHP_URL_PORT)],
    );
});

it('shows what an assignment gives as a site, with what a check says of it', function () {
    $site = $this->getJson("$this->at/model")->assertOk()->json();

    expect($site['name'])->toBe('the model answer')
        ->and(array_column($site['leaves'], 'path'))->toBe(
            ['index.html', 'pages/index.html', 'pages/two.html', 'style.css'],
        )
        ->and(array_filter(
            $site['findings'],
            fn (array $one) => $one['file'] === 'index.html' && str_contains($one['message'], 'gone.html'),
        ))
        ->toHaveCount(1);
    expect($this->getJson("$this->at/model/source/style.css")->assertOk()->json('text'))->toBe('p { color: navy }');
    expect(array_column(
        $this->getJson("$this->at/model/survey")->assertOk()->json('pages'),
        'path',
    ))->toContain('pages/two.html');
});

it('shows its pages as a browser sees them, in its own styles, in none or in one alone', function () {
    $address = fn (string $styles) => $this->getJson("$this->at/model/seen?styles=$styles")->assertOk()->json('url');
    [$own, $none, $alone] = array_map($address, ['own', 'none', 'sheet:style.css']);

    ($this->frame)("{$own}index.html")->assertOk()->assertSee('Gone');
    ($this->frame)("{$own}pages/index.html")->assertOk()->assertSee('Inside');
    ($this->frame)("{$own}style.css")->assertOk()->assertHeader('Content-Type', 'text/css; charset=utf-8');
    ($this->frame)("{$own}nothing.html")->assertNotFound()->assertSee('no such file');
    expect((string) ($this->frame)("{$none}index.html")->headers->get(
        'Content-Security-Policy',
    ))->toContain("style-src 'none'");
    ($this->frame)("{$alone}index.html")->assertOk()->assertSee('rel="stylesheet"', false);
});

it('shows the examples that ship', function () {
    $this->getJson("$this->at/example:ring-of-eight")->assertOk()->assertJsonPath('name', 'the example ring of eight');
    expect($this->getJson("$this->at/example:ring-of-eight/source/stop-2.html")->json('readable'))->toBeTrue();
    $url = $this->getJson("$this->at/example:ring-of-eight/seen")->json('url');
    ($this->frame)("{$url}stop-8.html")->assertOk();
});

it('shows no site that it has not, and no hand-in by this way', function (string $key) {
    $handIn = $this->handIn($this->assignment($this->instructor('other@example.org')));
    $key = str_replace('{id}', $handIn->id, $key);

    foreach (['', '/seen', '/survey', '/source/index.html'] as $what) {
        $this->getJson("$this->at/$key$what")->assertNotFound();
    }
})->with(['hand-in:{id}', 'nothing', 'example:..']);

it('says of files that were taken away that they are gone', function () {
    $this->getJson("$this->at/starter")->assertNotFound()->assertSee('taken away');
});
