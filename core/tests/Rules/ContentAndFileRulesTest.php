<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Marking\Check;
use InkedMargin\Core\Site\Packing;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

/** Four pages with a heading, picture and paragraph of their own, joined by a menu. */
function fourPages(array $change): array
{
    $names = ['index' => 'Home', 'tides' => 'Tides', 'birds' => 'Birds', 'ferry' => 'Ferry'];
    $menu = fn (string $own) => '<nav>'.implode(
        ' ',
        array_map(
            fn (string $file, string $name) => $file === $own ? $name : "<a href=\"$file.html\">$name</a>",
            array_keys($names),
            $names,
        ),
    ).'</nav>';
    $site = [];
    foreach ($names as $file => $name) {
        $site["$file.html"] = str_replace(
            '<h1>Sound - ',
            '<h1>',
            Samples::page(
                "{$menu($file)}<main><img src=\"$file.png\" alt=\"Seen from the $file\"><p>The page about the $file says at least as much as this, and no less.</p></main>",
                "Sound - $name",
            ),
        );
        $site["$file.png"] = Samples::png(20);
    }
    foreach ($change as $path => [$from, $to]) {
        expect($site[$path])->toContain($from);
        $site[$path] = str_replace($from, $to, $site[$path]);
    }

    return $site;
}

it('finds what was left over, and what was not filled in', function (
    array $change,
    array $found,
    string $message = '',
) {
    $report = Samples::check(fourPages($change));
    $seen = array_values(
        array_filter(Samples::found($report), fn (string $one) => ! str_starts_with($one, 'file/unused')),
    );

    expect($seen)->toBe($found);
    if ($message !== '') {
        expect(
            implode(' ', array_map(fn ($placed) => $placed->finding->message, $report->findings)),
        )->toContain($message);
    }
})->with([
    'nothing on a clean site' => [[], []],
    'the title of another page' => [
        ['birds.html' => ['<title>Sound - Birds', '<title>Sound - Tides']],
        ['content/same-title birds.html:5:1'],
        'the same title as `tides.html`',
    ],
    'the heading of another page' => [
        ['birds.html' => ['<h1>Birds', '<h1>Tides']],
        ['content/title-not-heading birds.html:7:7'],
        'the name of `tides.html`',
    ],
    'the same heading, where it names no page' => [
        ['birds.html' => ['<h1>Birds', '<h1>Along the shore'], 'ferry.html' => ['<h1>Ferry', '<h1>Along the shore']],
        ['content/same-heading ferry.html:7:7'],
    ],
    'the picture of another page' => [
        ['birds.html' => ['birds.png', 'tides.png']],
        ['content/same-picture birds.html:8:125'],
        'which `tides.html` shows too',
    ],
    'the paragraph of another page' => [
        ['birds.html' => ['about the birds', 'about the tides']],
        ['content/same-text birds.html:8:162'],
    ],
    'an editor’s title' => [
        ['birds.html' => ['<title>Sound - Birds', '<title>Untitled Document']],
        ['content/default-title birds.html:5:1'],
    ],
    'an editor’s title twice, told as that' => [
        [
            'birds.html' => ['<title>Sound - Birds', '<title>Document'],
            'ferry.html' => ['<title>Sound - Ferry', '<title>Document'],
        ],
        ['content/default-title birds.html:5:1', 'content/default-title ferry.html:5:1'],
    ],
    'text that holds a place' => [
        ['birds.html' => ['The page about', 'Lorem ipsum about']],
        ['content/placeholder birds.html:8:165'],
    ],
    'text in no paragraph' => [
        ['birds.html' => ['<main>', '<main>There are more birds here than anybody has ever counted.']],
        ['content/unwrapped-text birds.html:8:115'],
    ],
    'a picture far larger than it is shown' => [
        [
            'birds.html' => ['alt="Seen from the birds"', 'alt="Seen" width="100"'],
            'birds.png' => [Samples::png(20), Samples::png(900)],
        ],
        ['content/oversize-picture birds.html:8:125'],
        '900 pixels wide, but it is shown 100 pixels wide',
    ],
    'a picture of more than a megabyte' => [
        ['birds.png' => [Samples::png(20), Samples::png(20).str_repeat("\0", 1_000_000)]],
        ['content/heavy-picture birds.html:8:125'],
        '1.0 MB',
    ],
]);

it('finds what is amiss with files and how they are packed', function (
    array $files,
    array $found,
    string $fields = '',
    ?Packing $packing = null,
) {
    $files += [
        'index.html' => Samples::page('<img src="a.png" alt="A heron">', head: '<link rel="stylesheet" href="s.css">'),
        'a.png' => Samples::png(9),
        's.css' => 'p {}',
    ];
    $site = new Site(
        'sample',
        array_map(
            fn (string $path, string $bytes) => new SourceFile($path, $bytes),
            array_map(strval(...), array_keys($files)),
            $files,
        ),
        $packing ?? new Packing,
    );
    $brief = $fields === ''
        ? Brief::none()
        : BriefReader::read("title: T\nrequirements:\n  - {id: it, title: It, points: 1, $fields}");

    expect(Samples::found(Check::run($site, $brief)))->toBe($found);
})->with([
    'nothing on a clean site' => [[], []],
    'a second extension' => [['b.html.txt' => 'x'], ['file/double-extension b.html.txt']],
    'a second extension of a file that the brief asks for, told once' => [
        ['b.html.txt' => 'x'],
        ['file/double-extension b.html.txt'],
        'kind: files, names: [b.html]',
    ],
    'a document in place of a page' => [['b.html' => "PK\3\4\24\0"], ['file/wrong-type b.html']],
    'a JPEG called png' => [['a.png' => "\xff\xd8\xff\xe0\0\x10JFIF\0"], ['file/wrong-type a.png']],
    'a page that a word processor wrote' => [
        ['index.html' => str_replace(
            '<html',
            '<html xmlns:o="urn:schemas-word-processor:office:office"',
            Samples::page('<img src="a.png" alt="b">', head: '<link rel="stylesheet" href="s.css">'),
        )],
        ['file/wrong-type index.html'],
    ],
    'litter, once a site' => [
        ['.DS_Store' => 'x', '__MACOSX/._a' => 'x', '__MACOSX/._b' => 'x', 'img/Thumbs.db' => 'x'],
        ['file/litter .DS_Store'],
    ],
    'a file nothing refers to' => [['b.png' => Samples::png(9), 'readme.txt' => 'x'], ['file/unused b.png']],
    'an empty file' => [['s.css' => " \n"], ['file/empty s.css']],
    'a picture that breaks off' => [['a.png' => substr(Samples::png(9), 0, 12)], ['file/unreadable a.png']],
    'a file that the brief has no place for' => [
        [],
        ['file/unexpected s.css'],
        'kind: files, names: [index.html, "*.png"], others: false',
    ],
    'a folder in a folder' => [[], ['file/folder-shape index.html'], '', new Packing('a.zip', ['a', 'b'])],
    'no folder, where the class has one' => [
        [],
        ['file/folder-shape index.html'],
        '',
        new Packing('a.zip', [], usualDepth: 1),
    ],
    'no folder, where nobody asks' => [[], [], '', new Packing('a.zip')],
    'another folder than the brief’s' => [
        [],
        ['file/folder-shape index.html'],
        'kind: names, folder: "{student.handle}_site"',
        new Packing('a.zip', ['site'], 'avasey'),
    ],
    'an archive that is named otherwise' => [
        [],
        ['file/archive-name index.html'],
        'kind: names, archive: "{student.handle}.zip"',
        new Packing('my site.zip', ['site'], 'avasey'),
    ],
    'an archive that is named so' => [
        [],
        [],
        'kind: names, archive: "{student.handle}.zip", folder: "*"',
        new Packing('avasey.zip', ['site'], 'avasey'),
    ],
    'an extension twice' => [[], ['file/archive-name index.html'], '', new Packing('a.zip.zip', ['a'])],
    'files that are named otherwise' => [
        ['my-b.png' => Samples::png(9)],
        ['file/name a.png', 'file/name index.html', 'file/unused my-b.png', 'file/name s.css'],
        'kind: names, files: my-*',
    ],
]);

it('finds passages of the starter that were to be replaced', function () {
    $brief = BriefReader::read(
        "title: T\nrequirements:\n  - {id: it, title: It, points: 3, kind: starter, replaced: [Write about yourself here., Your name], kept: [Wren Quay]}",
    );
    $report = Samples::check(
        ['index.html' => Samples::page("<div><p>Write about\n yourself here.</p></div><footer>Wren Quay</footer>")],
        $brief,
    );

    expect(Samples::found($report))->toBe([
        'content/starter-unchanged index.html:8:6',
    ])->and($report->score->awarded)->toBe(2.0);
});
