<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Tests\Samples;

it('finds what is amiss, where it stands', function (array $files, array $found, string $requirement = '') {
    $brief = $requirement === ''
        ? null
        : BriefReader::read("title: T\nrequirements:\n  - {id: it, title: It, $requirement}");

    expect(Samples::found(Samples::check($files, $brief)))->toBe($found);
})->with(function () {
    $home = fn (string $body, string $head = '') => ['index.html' => Samples::page($body, head: $head)];

    yield 'nothing on a clean site' => [
        $home('<h2>A</h2><p><a href="c.html" data-x="1" aria-label="b" onclick="d()">e</a></p><svg viewBox="0 0 1 1"><path d=""/></svg><ul><li>a</li></ul><br>') + ['c.html' => Samples::page("<p>a<br>\nb</p>\r\n<pre>\n</pre><table><caption>x</caption><colgroup><col></colgroup><tr><td>1</td></tr></table><form><input aria-label='i'><button>b</button></form><a href='index.html'>d</a>", 'C')],
        [],
    ];
    yield 'a missing file of the brief' => [$home(''), ['file/missing a.html'], 'kind: files, names: [a.html]'];
    yield 'no home page' => [['start.html' => Samples::page()], ['file/no-home index.html']];
    yield 'a name with capitals, once for a folder' => [
        $home('') + ['My Pics/a.png' => Samples::png(), 'My Pics/b.png' => Samples::png(), 'x/B.png' => Samples::png()],
        [
            'file/name My Pics/a.png', 'file/unused My Pics/a.png', 'file/unused My Pics/b.png', 'file/name x/B.png',
            'file/unused x/B.png',
        ],
    ];
    yield 'no name of litter' => [
        $home('') + ['.DS_Store' => 'x', '__MACOSX/._Index.html' => 'x'],
        ['file/litter .DS_Store'],
    ];
    yield 'a link to nothing' => [$home('<a href="none.html">x</a>'), ['link/missing-file index.html:8:10']];
    yield 'a sheet that is not there' => [
        $home('', '<link rel="stylesheet" href="none.css">'),
        ['link/missing-file index.html:6:30'],
    ];
    yield 'another letter case' => [
        $home('<img alt="" src="A.PNG">') + ['a.png' => Samples::png()],
        ['link/letter-case index.html:8:18'],
    ];
    yield 'no title' => [
        ['index.html' => str_replace('<title>A page</title>', '', Samples::page())],
        ['markup/missing-title index.html:3:1'],
    ];
    yield 'a picture without alt' => [
        $home('é<img src="a.png">') + ['a.png' => Samples::png()],
        ['markup/missing-alt index.html:8:2'],
    ];
    yield 'a misspelt attribute' => [$home('<a herf="index.html">x</a>'), ['markup/unknown-attribute index.html:8:4']];
    yield 'an attribute near an obsolete one: nobody is told to type that' => [
        $home('<p algin="left">x</p>'),
        ['markup/unknown-attribute index.html:8:4'],
    ];
    yield 'an attribute of another element' => [
        $home('<p href="x">x</p>'),
        ['markup/unknown-attribute index.html:8:4'],
    ];
    yield 'bytes that are not UTF-8' => [
        ['index.html' => Samples::page("caf\xe9")],
        ['markup/encoding index.html:8:4'],
    ];
    yield 'another encoding than UTF-8' => [
        ['index.html' => str_replace('utf-8', 'iso-8859-1', Samples::page("caf\xe9"))],
        ['markup/encoding index.html:4:16'],
    ];
    yield 'a page in UTF-16' => [
        [
            'index.html' => "\xFF\xFE".mb_convert_encoding(Samples::page('<img src="a.png">'), 'UTF-16LE', 'UTF-8'),
            'a.png' => Samples::png(),
        ],
        ['markup/encoding index.html:1:1', 'markup/missing-alt index.html:8:1'],
    ];
    yield 'a mark and a meta that do not agree' => [
        ['index.html' => "\xEF\xBB\xBF".str_replace('utf-8', 'koi8-r', Samples::page())],
        ['markup/encoding index.html:4:16'],
    ];
    yield 'an encoding that is none' => [
        ['index.html' => str_replace('utf-8', 'klingon', Samples::page())],
        ['markup/encoding index.html:4:16'],
    ];
    yield 'columns behind letters of another encoding' => [
        [
            'index.html' => str_replace(
                'utf-8',
                'shift_jis',
                Samples::page("<p>\x92\xaa\x8e\xac</p><img src=\"a.png\">"),
            ),
            'a.png' => Samples::png(),
        ],
        ['markup/encoding index.html:4:16', 'markup/missing-alt index.html:8:10'],
    ];
    yield 'a sheet most pages link and one does not' => [
        [
            'index.html' => Samples::page(
                '<a href="b.html">B</a> and <a href="c.html">C</a>',
                'A',
                '<link rel="stylesheet" href="s.css">',
            ),
            'b.html' => Samples::page('<a href="index.html">A</a>', 'B', '<link rel="stylesheet" href="s.css">'),
            'c.html' => Samples::page('<a href="index.html">A</a>', 'C'),
            's.css' => 'p {}',
        ],
        ['style/not-on-page c.html:3:1'],
    ];
    yield 'a sheet of the brief under a wrong address is found once' => [
        $home('', '<link rel="stylesheet" href="../s.css">') + ['css/s.css' => 'p {}'],
        ['link/outside-site index.html:6:30'],
        'kind: stylesheets, sheets: [css/s.css]',
    ];
    yield 'the title of a copied page' => [
        [
            'index.html' => Samples::page('<a href="b.html">b</a>'),
            'b.html' => Samples::page('<a href="index.html">a</a>'),
        ],
        ['content/same-title b.html:5:1'],
    ];
    yield 'a title of another form' => [$home(''), ['brief/titles index.html:5:1'], 'kind: titles, pattern: Site - *'];
    yield 'a part that is missing' => [
        $home('<header></header>'),
        ['brief/skeleton index.html:8:1'],
        'kind: skeleton, parts: [header, nav]',
    ];
    yield 'a part inside another' => [
        $home('<header><nav></nav></header>'),
        ['brief/skeleton index.html:8:9'],
        'kind: skeleton, parts: [header, nav]',
    ];
    yield 'parts out of order' => [
        $home('<nav></nav><header></header>'),
        ['brief/skeleton index.html:8:1'],
        'kind: skeleton, parts: [header, nav]',
    ];
    yield 'a step that is not the brief’s' => [
        $home("<ul>\n    <li>a</li>\n</ul>"),
        ['markup/indentation index.html:9:5'],
        'kind: indentation, step: 2',
    ];
    yield 'a step that is the brief’s' => [$home("<ul>\n  <li>a</li>\n</ul>"), [], 'kind: indentation, step: 2'];
    yield 'a character the brief wants as a reference' => [
        $home('<p>© a &copy; b &amp; c</p><script>"©"</script>'),
        ['markup/raw-character index.html:8:4'],
        'kind: markup, references: ["©", "&"]',
    ];
    yield 'empty alt text where the brief wants words' => [
        $home('<p><img src="index.html" alt=""></p>'),
        ['markup/missing-alt index.html:8:26'],
        'kind: pictures, at_least: 1',
    ];
    yield 'one cell too many' => [
        $home('<table><tr><td>1</td><td>2</td></tr></table>'),
        ['brief/count index.html:8:22'],
        'kind: count, selector: td, exactly: 1',
    ];
});

it('finds what is amiss in the markup, once for each slip', function (string $body, array $found, string $head = '') {
    expect(Samples::found(Samples::check(['index.html' => Samples::page($body, head: $head)])))->toBe(
        array_map(fn (string $one) => preg_replace('/ (?=\d)/', ' index.html:', $one), $found),
    );
})->with([
    'an element never closed, whatever it swallowed' => [
        '<main><p>a</p><section>b</section>',
        ['markup/unclosed-element 8:1'],
    ],
    'a list closed by what is around it' => ['<div><ul><li>a</li></div>', ['markup/unclosed-element 8:6']],
    'an end tag that closes nothing' => ['<p>a</p></section>', ['markup/stray-end-tag 8:9']],
    'crossing phrases' => ['<p><b>a<i>b</b>c</i></p>', ['markup/misnested 8:8']],
    'a phrase that ends inside a block that began in it' => ['<b><p>a</b></p>', ['markup/misnested 8:1']],
    'crossing blocks' => ['<section><article>a</section></article>', ['markup/misnested 8:10']],
    'a block in a paragraph' => ['<p>a<div>b</div></p>', ['markup/content-model 8:1']],
    'an end tag that may be left out' => ['<ul><li>a<li>b</li></ul>', ['markup/optional-end-tag 8:5']],
    'an element that is none' => ['<setcion>a</setcion><my-clock>b</my-clock>', ['markup/unknown-element 8:1']],
    'obsolete elements and attributes' => [
        '<center><p align="left">a</p></center>',
        ['markup/obsolete-element 8:1', 'markup/obsolete-attribute 8:12'],
    ],
    'an attribute twice' => ['<p class="a" CLASS="b">a</p>', ['markup/duplicate-attribute 8:14']],
    'an id twice' => ['<p id="a">a</p><p id="a">b</p>', ['markup/duplicate-id 8:19']],
    'alt text that is none' => ['<img src="index.html" alt="photo">', ['markup/poor-alt 8:23']],
    'a second main heading and a level left out' => [
        '<h1>a</h1><h3>b</h3>',
        ['markup/second-main-heading 8:1', 'markup/heading-skips 8:11'],
    ],
    'nothing inside' => [
        '<p> </p><ul><li></li></ul><h2>&nbsp;</h2><p><img src="index.html" alt=""></p>',
        ['markup/empty-element 8:1', 'markup/empty-element 8:13', 'markup/empty-element 8:27'],
    ],
    'breaks in a row' => ['<p>a<br><br> <br>b</p>', ['markup/break-for-space 8:5']],
    'capitals' => ['<DIV>a</DIV><p CLASS="b">c</p>', ['markup/tag-case 8:2', 'markup/tag-case 8:16']],
    'a quotation mark left out' => ['<a href="index.html class="x">a</a>', ['markup/parse-error 8:4']],
    'a character reference that is none' => [
        '<p>&copyright; &nosuch;</p>',
        ['markup/parse-error 8:9', 'markup/raw-character 8:16'],
    ],
    'a comment in a comment' => ['<!-- a <!-- b -->', ['markup/parse-error 8:1']],
    'an item outside a list' => ['<div><li>a</li></div>', ['markup/content-model 8:6']],
    'text and a block right in a list' => [
        '<ul>a<p>b</p></ul>',
        ['markup/content-model 8:5', 'markup/content-model 8:6'],
    ],
    'a block in a phrase, and in a link in a phrase' => [
        '<span><div>a</div></span><em><a href="#x"><p id="x">b</p></a></em>',
        ['markup/content-model 8:7', 'markup/content-model 8:43'],
    ],
    'a button in a link' => ['<a href="index.html"><button>a</button></a>', ['markup/content-model 8:22']],
    'a second main, and one inside a part' => [
        '<main>a</main><article><main>b</main></article>',
        ['markup/content-model 8:24', 'markup/content-model 8:24'],
    ],
    'a figcaption without its figure' => [
        '<figcaption>a</figcaption><figure>b<figcaption>c</figcaption></figure>',
        ['markup/content-model 8:1'],
    ],
    'what an unclosed element swallowed is no slip of its own' => [
        '<header><h2>a</h2><footer>b</footer>',
        ['markup/unclosed-element 8:1'],
    ],
    'an attribute that has to be there' => [
        '<img alt="a"><map><area></map>',
        ['markup/missing-attribute 8:1', 'markup/missing-attribute 8:14'],
    ],
    'values that are none' => [
        '<img src="index.html" alt="a" width="20px"><table><tr><td colspan="0">a</td></tr></table><input type="txt" title="a">',
        ['markup/bad-attribute-value 8:38', 'markup/bad-attribute-value 8:68', 'markup/bad-attribute-value 8:103'],
    ],
    'a flag with a value, a role and a state that are none' => [
        '<input title="a" disabled="true"><p role="nav" aria-hidden="yes">a</p>',
        ['markup/bad-attribute-value 8:28', 'markup/bad-attribute-value 8:43', 'markup/bad-attribute-value 8:61'],
    ],
    'a role written as a state' => ['<p aria-role="note">a</p>', ['markup/unknown-attribute 8:4']],
    'text that looks like a tag' => [
        '<p>bug<number>-<user> is the name</p>',
        ['markup/unknown-element 8:7', 'markup/unknown-element 8:16'],
    ],
    'code that is never closed, with blocks behind it' => [
        '<p>in <code>/locales/.</p><h2>Next</h2><p>Then.</p><ul><li>One</li></ul>',
        ['markup/unclosed-element 8:7'],
    ],
    'an event and a state that are none' => [
        '<p onclik="a()" aria-lable="b" onclick="c()">a</p>',
        ['markup/unknown-attribute 8:4', 'markup/unknown-attribute 8:17'],
    ],
    'a language that is none' => ['<p lang="english">a</p><p lang="de-AT">b</p>', ['markup/bad-attribute-value 8:10']],
    'an end tag of what never holds anything' => ['<p>a<br></br></p>', ['markup/stray-end-tag 8:9']],
    'breaks between blocks' => ['<p>a</p><br><p>b</p><p>c<br>d</p>', ['markup/break-for-space 8:9']],
    'a step that is not the page’s own' => [
        "<div>\n  <ul>\n".str_repeat("    <li>a</li>\n", 9)."       <li>b</li>\n  </ul>\n</div>",
        ['markup/indentation 19:8'],
    ],
    'an id with a space' => ['<p id="my part">a</p>', ['markup/bad-attribute-value 8:8']],
    'a letter outside every part' => ['<header>a</header>x<main>b</main>', ['markup/stray-text 8:19']],
    'a link with a picture and no name' => [
        '<a href="index.html"><img src="index.html" alt=""></a>',
        ['markup/missing-alt 8:44'],
    ],
    'crooked columns, told once' => ["<ul>\n<li>a</li>\n<li>b</li>\n  </ul>", ['markup/indentation 11:3']],
    'text in a table' => ['<table>a<tr><td>b</td></tr></table>', ['markup/content-model 8:8']],
    'a second title element that is empty' => ['', ['markup/empty-title 6:1'], '<title></title>'],
]);

it('finds what the skeleton of a page lacks', function (string $page, array $found) {
    expect(Samples::found(Samples::check(['index.html' => $page])))->toBe($found);
})->with([
    'everything' => [
        '<title>A</title><h1>A</h1>',
        [
            'markup/missing-charset index.html',
            'markup/missing-doctype index.html',
            'markup/missing-skeleton-tag index.html',
        ],
    ],
    'language and heading' => [
        "<!DOCTYPE html>\n<html><head><meta charset=utf-8><title>A</title></head><body><p>a</p></body></html>",
        ['markup/missing-lang index.html:2:1', 'markup/no-main-heading index.html:2:56'],
    ],
    'an old doctype' => [
        '<!DOCTYPE HTML PUBLIC "-//W3C//DTD HTML 3.2//EN"><html lang="en"><head><meta charset="utf-8"><title>A</title></head><body><h1>a</h1></body></html>',
        ['markup/quirks-doctype index.html:1:1'],
    ],
]);

it('offers the exact text to type', function (array $files, string $remedy) {
    expect(Samples::check($files)->findings[0]->finding->remedy)->toContain($remedy);
})->with([
    'the right way from this folder' => [
        [
            'index.html' => Samples::page('<a href="p/a.html">x</a>'),
            'p/a.html' => Samples::page('<a href="index.html">x</a>', 'B'),
        ],
        'type `../index.html`',
    ],
    'the real letter case' => [
        ['index.html' => Samples::page('<a href="A.html">x</a>'), 'a.html' => Samples::page('', 'B')],
        'Type `href="a.html"`',
    ],
    'the name that was meant' => [
        ['index.html' => Samples::page('<a href="tide.html">x</a>'), 'tides.html' => Samples::page('', 'B')],
        '`tides.html`, type that',
    ],
    'the event that was meant' => [['index.html' => Samples::page('<p onclik="a()">x</p>')], 'Type `onclick='],
    'the attribute that was meant' => [['index.html' => Samples::page('<p clas="a">x</p>')], 'Type `class='],
]);

it('takes weight and message from the requirement that it counts against', function () {
    $brief = BriefReader::read(
        "title: T\nrequirements:\n  - {id: it, title: It, kind: files, names: [a.html], weight: tidy, message: Where is page A?}",
    );
    $report = Samples::check(['index.html' => Samples::page()], $brief);

    expect($report->findings[0]->finding->message)->toBe('Where is page A?')
        ->and($report->isClean())->toBeTrue()
        ->and($report->outcomes[0]->findings)->toBe([$report->findings[0]->fingerprint]);
});

it('keeps a finding’s fingerprint when lines move, and tells apart findings that are alike', function () {
    $before = Samples::check(['index.html' => Samples::page('<img src="index.html"><p><img src="index.html"></p>')]);
    $after = Samples::check([
        'index.html' => Samples::page("\n\n<!-- new -->\n<img src=\"index.html\"><p><img src=\"index.html\"></p>"),
    ]);
    $prints = fn ($report) => array_map(fn ($placed) => $placed->fingerprint, $report->findings);

    expect($prints($after))->toBe($prints($before))->and(array_unique($prints($before)))->toHaveCount(2);
});

it('judges a requirement by what its rules found, on the pages it is about', function (
    string $fields,
    float $awarded,
    string $measured,
) {
    $brief = BriefReader::read("title: T\nrequirements:\n  - {id: it, title: It, points: 4, $fields}");
    $files = [
        'index.html' => Samples::page('<p>a<br><br>b</p>', 'A'),
        'b.html' => Samples::page('<b><i>x</b></i>', 'B'),
        'c.html' => Samples::page('<b><i>x</b></i><div>', 'C'),
        'd.html' => Samples::page('', 'D'),
    ];
    $outcome = Samples::check($files, $brief)->outcomes[0];

    expect([$outcome->points->awarded, $outcome->measured])->toBe([$awarded, $measured]);
})->with([
    'a group, faults and departures' => ['kind: markup, rules: [markup]', 2.0, '3 found, on 2 of 4 pages'],
    'so many are still well' => ['kind: markup, rules: [markup], at_most: 3', 4.0, '3 found, on 2 of 4 pages'],
    'one rule, whatever it weighs' => [
        'kind: markup, rules: [markup/break-for-space]',
        3.0,
        '1 found, on 1 of 4 pages',
    ],
    'on one page' => ['kind: markup, rules: [markup], pages: d.html', 4.0, 'nothing found'],
    'indentation' => ['kind: indentation', 4.0, '4 of 4 pages'],
    'pictures' => ['kind: pictures, at_least: 1', 0.0, '0 of 4 pages'],
]);

it('folds repeats only where it says the same of them', function (string $body, array $said) {
    $report = Samples::check(['index.html' => Samples::page($body)]);
    $messages = array_map(fn (PlacedFinding $placed) => $placed->finding->message, $report->findings);

    expect(array_values(array_filter($messages, fn (string $one) => preg_match('/obsolete|attribute|label/', $one) === 1)))
        ->toBe($said);
})->with([
    'an attribute on two kinds of elements' => [
        '<p align="left">a</p><table align="left"><tr><td>b</td></tr></table>',
        ['The attribute `align` on `<p>` is obsolete.', 'The attribute `align` on `<table>` is obsolete.'],
    ],
    'an attribute on two elements of a kind' => [
        '<p align="left">a</p><p align="left">b</p>',
        ['The attribute `align` on `<p>` is obsolete. There is 1 more like it on this page.'],
    ],
    'fields with ids of their own' => [
        '<p><input id="a"> <input id="b"></p>',
        [
            'This `<input>` has no label, so readers cannot know what to type.',
            'This `<input>` has no label, so readers cannot know what to type.',
        ],
    ],
]);
