<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Rules;

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Example\ExampleFiles;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Tests\Samples;

/** A page of a site of four: what it says can be left over from the page that it is a copy of. */
function copiedPage(string $title, string $heading, string $picture, string $paragraph): string
{
    $menu = '';
    foreach (['index' => 'Home', 'boats' => 'Boats', 'crew' => 'Crew', 'tides' => 'Tides'] as $file => $label) {
        $menu .= "<li><a href=\"$file.html\">$label</a></li>\n";
    }
    $body = "<header><h1>$heading</h1></header>\n<nav><ul>\n$menu</ul></nav>\n<main>\n"
        ."  <p><img src=\"$picture.png\" alt=\"A picture of $picture\"></p>\n  <p>$paragraph</p>\n</main>";

    return str_replace("<h1>$title</h1>\n", '', ExampleFiles::page($body, $title));
}

/**
 * @param  array<string, string>  $pages  in place of the right ones
 * @return list<string> faults and departures: rule, file and message
 */
function foundOnCopies(array $pages, ?Brief $brief = null): array
{
    $site = [
        'index.html' => copiedPage('Quay: Home', 'Wren Quay', 'quay', 'Boats leave from the quay all day, whatever the weather may bring.'),
        'boats.html' => copiedPage('Quay: Boats', 'Boats of the quay', 'boats', 'Seven boats lie at the quay, and the oldest of them is the Tern.'),
        'crew.html' => copiedPage('Quay: Crew', 'Who sails them', 'crew', 'Nine people sail, and all of them have learnt to swim in winter.'),
        'tides.html' => copiedPage('Quay: Tides', 'Ebb and flow', 'tides', 'High water comes twice a day and a little later every morning.'),
    ];
    foreach (['quay', 'boats', 'crew', 'tides'] as $width => $name) {
        $site["$name.png"] = Samples::png(10 + $width);
    }
    $report = Samples::check([...$site, ...$pages], $brief);

    return array_map(
        fn ($placed) => "{$placed->finding->rule} {$placed->finding->file}: {$placed->finding->message}",
        array_values(array_filter(
            $report->findings,
            fn ($placed) => $placed->finding->weight !== Weight::Tidy,
        )),
    );
}

it('finds nothing where no page is a copy', function () {
    expect(foundOnCopies([]))->toBe([]);
});

it('tells all that is left over on a page in one finding, on the page that is the copy', function (array $pages, array $found) {
    expect(foundOnCopies($pages))->toBe($found);
})->with([
    'all of another page, before it in the order of files' => [
        ['boats.html' => copiedPage('Quay: Tides', 'Ebb and flow', 'tides', 'High water comes twice a day and a little later every morning.')],
        ['content/same-title boats.html: This page has the same title as `tides.html`: “Quay: Tides”. The main heading, the picture and the paragraph are left over from it too.'],
    ],
    'all of another page, after it' => [
        ['tides.html' => copiedPage('Quay: Boats', 'Boats of the quay', 'boats', 'Seven boats lie at the quay, and the oldest of them is the Tern.')],
        ['content/same-title tides.html: This page has the same title as `boats.html`: “Quay: Boats”. The main heading, the picture and the paragraph are left over from it too.'],
    ],
    'a heading that names neither page goes where the picture says' => [
        ['boats.html' => copiedPage('Quay: Boats', 'Ebb and flow', 'tides', 'Seven boats lie at the quay, and the oldest of them is the Tern.')],
        ['content/same-heading boats.html: “Ebb and flow” is also a heading of `tides.html`; it looks left over from a copied page. The picture is left over from it too.'],
    ],
    'a paragraph that names neither page goes where the title says' => [
        ['boats.html' => copiedPage('Quay: Crew', 'Boats of the quay', 'boats', 'Nine people sail, and all of them have learnt to swim in winter.')],
        ['content/same-title boats.html: This page has the same title as `crew.html`: “Quay: Crew”. The paragraph is left over from it too.'],
    ],
    'the picture alone' => [
        ['boats.html' => copiedPage('Quay: Boats', 'Boats of the quay', 'crew', 'Seven boats lie at the quay, and the oldest of them is the Tern.')],
        ['content/same-picture boats.html: This page shows `crew.png`, which `crew.html` shows too.'],
    ],
]);

it('tells them where the brief asks for titles of their own', function () {
    $brief = BriefReader::read("title: T\nrequirements: [{id: titles, kind: titles, title: Titles, points: 4}]");
    $copy = copiedPage('Quay: Tides', 'Ebb and flow', 'boats', 'Seven boats lie at the quay, and the oldest of them is the Tern.');

    expect(foundOnCopies(['boats.html' => $copy], $brief))->toBe([
        'content/same-title boats.html: This page has the same title as `tides.html`: “Quay: Tides”. The main heading is left over from it too.',
    ]);
});

it('holds headings and pictures that have to differ against the page that is the copy', function (string $requirement, array $pages, string $found) {
    $brief = BriefReader::read("title: T\nrequirements: [{id: it, title: It, points: 4, $requirement}]");

    expect(foundOnCopies($pages, $brief))->toBe([$found]);
})->with([
    'a heading' => [
        'kind: headings, differ: true',
        ['boats.html' => copiedPage('Quay: Boats', 'Tides', 'boats', 'Seven boats lie at the quay, and the oldest of them is the Tern.'),
            'tides.html' => copiedPage('Quay: Tides', 'Tides', 'tides', 'High water comes twice a day and a little later every morning.')],
        'brief/headings boats.html: “Tides” is the heading of `tides.html` too.',
    ],
    'a picture under another name' => [
        'kind: pictures, differ: true',
        ['crew.png' => Samples::png(11)],
        'content/same-picture crew.html: `crew.png` is the same picture as `boats.png`, which `boats.html` shows.',
    ],
    'a paragraph' => [
        'kind: text, differ: true',
        ['tides.html' => copiedPage('Quay: Tides', 'Ebb and flow', 'tides', 'Nine people sail, and all of them have learnt to swim in winter.')],
        'brief/text tides.html: `crew.html` says the same; the brief asks for other words on each page.',
    ],
]);
