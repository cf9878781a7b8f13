<?php

declare(strict_types=1);

use InkedMargin\Core\Finding\Edit;
use InkedMargin\Core\Finding\Mend;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Span;
use InkedMargin\Core\Tests\Samples;

it('makes all its edits at once, in whatever order they are given', function () {
    $file = new SourceFile('a.html', '<li>Ebb</li><li>Flow</li>');
    $mend = Mend::of(Edit::insert($file, 25, '</ul>'), Edit::insert($file, 0, '<ul>'));

    expect($mend->applyTo(['a.html' => $file->bytes]))->toBe(['a.html' => '<ul><li>Ebb</li><li>Flow</li></ul>']);
});

it('leaves the files that it is not about', function () {
    $file = new SourceFile('a.html', '<b>Ebb</i>');
    $mend = Mend::of(new Edit($file, new Span(6, 10), '</b>'));

    expect($mend->applyTo(['a.html' => $file->bytes, 'b.html' => '</i>']))
        ->toBe(['a.html' => '<b>Ebb</b>', 'b.html' => '</i>']);
});

it('counts in the bytes of the file, whatever encoding the page was read from', function () {
    $page = str_replace(
        ['charset="utf-8"', '£'],
        ['charset="windows-1252"', "\xa3"],
        Samples::page('<p>Ferry: £5 &amp; a <b>dog</i></b> free</p>'),
    );
    $finding = array_values(array_filter(
        Samples::check(['index.html' => $page])->findings,
        fn ($placed) => $placed->finding->mend !== null,
    ))[0]->finding;
    $mended = $finding->mend->applyTo(['index.html' => $page])['index.html'];

    expect($finding->rule)->toBe('markup/stray-end-tag')
        ->and($mended)->toContain("Ferry: \xa35 &amp; a <b>dog</b> free");
});

it('names what findings are about, so that one can explain another', function () {
    expect(Subject::page('a.html'))->not->toBe(Subject::file('a.html'))
        ->and(Subject::place('a.html', 7))->toBe(Subject::place('a.html', 7))
        ->and(Subject::place('a.html', 7))->not->toBe(Subject::place('b.html', 7))
        ->and(Subject::way('a.html', 'b.html'))->not->toBe(Subject::way('b.html', 'a.html'));
});
