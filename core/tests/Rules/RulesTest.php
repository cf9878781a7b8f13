<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Tests\Samples;

it('finds what is amiss, where it stands', function (array $files, array $found, string $requirement = '') {
    $brief = $requirement === '' ? null : BriefReader::read("title: T\nrequirements:\n  - {id: it, title: It, $requirement}");

    expect(Samples::found(Samples::check($files, $brief)))->toBe($found);
})->with(function () {
    $home = fn (string $body, string $head = '') => ['index.html' => Samples::page($body, head: $head)];

    yield 'nothing on a clean site' => [$home('<h1>A</h1><p><a href="index.html" data-x="1" aria-label="b" onclick="c()">d</a></p><svg viewBox="0 0 1 1"><path d=""/></svg>'), []];
    yield 'a missing file of the brief' => [$home(''), ['file/missing a.html'], 'kind: files, names: [a.html]'];
    yield 'no home page' => [['start.html' => Samples::page()], ['file/no-home index.html']];
    yield 'a name with capitals, once for a folder' => [$home('') + ['My Pics/a.png' => '', 'My Pics/b.png' => '', 'x/B.png' => ''], ['file/name My Pics/a.png', 'file/name x/B.png']];
    yield 'no name of litter' => [$home('') + ['.DS_Store' => '', '__MACOSX/._Index.html' => ''], []];
    yield 'a link to nothing' => [$home('<a href="none.html">x</a>'), ['link/missing-file index.html:8:10']];
    yield 'a sheet that is not there' => [$home('', '<link rel="stylesheet" href="none.css">'), ['link/missing-file index.html:6:30']];
    yield 'another letter case' => [$home('<img alt="" src="A.PNG">') + ['a.png' => ''], ['link/letter-case index.html:8:18']];
    yield 'no title' => [['index.html' => "<html>\n<head>\n</head><body></body></html>"], ['markup/missing-title index.html:2:1']];
    yield 'a picture without alt' => [$home('é<img src="a.png">') + ['a.png' => ''], ['markup/missing-alt index.html:8:2']];
    yield 'a misspelt attribute' => [$home('<a herf="index.html">x</a>'), ['markup/unknown-attribute index.html:8:4']];
    yield 'an attribute of another element' => [$home('<p href="x">x</p>'), ['markup/unknown-attribute index.html:8:4']];
    yield 'bytes that are not UTF-8' => [['index.html' => "<head><title>caf\xe9</title></head>"], ['markup/encoding index.html:1:17']];
    yield 'a sheet most pages link and one does not' => [['index.html' => Samples::page('', 'A', '<link rel="stylesheet" href="s.css">'), 'b.html' => Samples::page('', 'B', '<link rel="stylesheet" href="s.css">'), 'c.html' => Samples::page('', 'C'), 's.css' => ''], ['style/not-on-page c.html:3:1']];
    yield 'a sheet of the brief under a wrong address is found once' => [$home('', '<link rel="stylesheet" href="../s.css">') + ['css/s.css' => ''], ['link/missing-file index.html:6:30'], 'kind: stylesheets, sheets: [css/s.css]'];
    yield 'the title of a copied page' => [['index.html' => Samples::page(), 'b.html' => Samples::page()], ['content/same-title b.html:5:1']];
    yield 'a title of another form' => [$home(''), ['brief/titles index.html:5:1'], 'kind: titles, pattern: Site - *'];
    yield 'a part that is missing' => [$home('<header></header>'), ['brief/skeleton index.html:7:1'], 'kind: skeleton, parts: [header, nav]'];
    yield 'a part inside another' => [$home('<header><nav></nav></header>'), ['brief/skeleton index.html:8:9'], 'kind: skeleton, parts: [header, nav]'];
    yield 'parts out of order' => [$home('<nav></nav><header></header>'), ['brief/skeleton index.html:8:1'], 'kind: skeleton, parts: [header, nav]'];
    yield 'one cell too many' => [$home('<table><tr><td>1</td><td>2</td></tr></table>'), ['brief/count index.html:8:22'], 'kind: count, selector: td, exactly: 1'];
});

it('offers the exact text to type', function (array $files, string $remedy) {
    expect(Samples::check($files)->findings[0]->finding->remedy)->toContain($remedy);
})->with([
    'the right way from this folder' => [['index.html' => Samples::page(), 'p/a.html' => Samples::page('<a href="index.html">x</a>', 'B')], 'type ../index.html'],
    'the real letter case' => [['index.html' => Samples::page('<a href="A.html">x</a>'), 'a.html' => Samples::page('', 'B')], 'Type a.html'],
    'the name that was meant' => [['index.html' => Samples::page('<a href="tide.html">x</a>'), 'tides.html' => Samples::page('', 'B')], 'type tides.html'],
    'the attribute that was meant' => [['index.html' => Samples::page('<p clas="a">x</p>')], 'Type class'],
]);

it('takes weight and message from the requirement that it counts against', function () {
    $brief = BriefReader::read("title: T\nrequirements:\n  - {id: it, title: It, kind: files, names: [a.html], weight: tidy, message: Where is page A?}");
    $report = Samples::check(['index.html' => Samples::page()], $brief);

    expect($report->findings[0]->finding->message)->toBe('Where is page A?')
        ->and($report->isClean())->toBeTrue()
        ->and($report->outcomes[0]->findings)->toBe([$report->findings[0]->fingerprint]);
});

it('keeps a finding’s fingerprint when lines move, and tells apart findings that are alike', function () {
    $before = Samples::check(['index.html' => Samples::page('<img src="index.html"><p><img src="index.html"></p>')]);
    $after = Samples::check(['index.html' => Samples::page("\n\n<!-- new -->\n<img src=\"index.html\"><p><img src=\"index.html\"></p>")]);
    $prints = fn ($report) => array_map(fn ($placed) => $placed->fingerprint, $report->findings);

    expect($prints($after))->toBe($prints($before))->and(array_unique($prints($before)))->toHaveCount(2);
});
