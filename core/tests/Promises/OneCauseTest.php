<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\Proposal;
use InkedMargin\Core\Example\ExampleFiles;
use InkedMargin\Core\Intake\FolderReader;
use InkedMargin\Core\Marking\CheckReport;
use InkedMargin\Core\Marking\Outcome;
use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Tests\Promises\Breakage;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Seed;

// One cause costs once: the third and fifth promise of marking.md, slip by slip (from the job, no other source).

/** @param  list<string>  $requirements  each as the fields of a line of YAML */
function briefOf(string ...$requirements): Brief
{
    $lines = array_map(
        fn (string $fields, int $at) => "  - {id: r$at, title: R$at, points: 6, $fields}\n",
        $requirements,
        array_keys($requirements),
    );

    return BriefReader::read("title: T\nmarking: {round_to: 0.01}\nrequirements:\n".implode('', $lines));
}

/** @return array<string, string> what each requirement lost, or which one it follows from */
function lossesOf(CheckReport $report): array
{
    $losses = [];
    foreach ($report->outcomes as $outcome) {
        foreach ($outcome->reasons as $reason) {
            $losses[$outcome->requirement->terms->id] ??= $reason->follows === null
                ? (string) round($outcome->points->possible - $outcome->points->awarded, 2)
                : "follows $reason->follows";
        }
    }

    return $losses;
}

/** @return list<string> */
function rulesIn(CheckReport $report): array
{
    return array_map(fn (PlacedFinding $one) => $one->finding->kind(), $report->findings);
}

/** A ring of eight stops with a menu of all of them. */
function ringWithMenu(): array
{
    $site = [];
    $name = fn (int $stop) => $stop === 1 ? 'index.html' : "stop-$stop.html";
    $menu = implode('', array_map(fn (int $stop) => "<li><a href=\"{$name($stop)}\">Stop $stop</a></li>", range(1, 8)));
    for ($stop = 1; $stop <= 8; $stop++) {
        $site[$name($stop)] = ExampleFiles::page(
            "<nav><ul>$menu</ul></nav><main><p>This is stop $stop.</p></main><p><a href=\"{$name($stop === 1 ? 8 : $stop - 1)}\">"
                ."Back</a> <a href=\"{$name($stop === 8 ? 1 : $stop + 1)}\">On</a></p>",
            "Stop $stop",
        );
    }

    return $site;
}

function ringBrief(): Brief
{
    $menu = implode(', ', array_map(
        fn (int $stop) => '{'.($stop === 1 ? 'index.html' : "stop-$stop.html").": Stop $stop}",
        range(1, 8),
    ));

    return briefOf("kind: navigation, menu: [$menu]", 'kind: navigation, pattern: ring, on: "On", back: "Back"');
}

it('counts a wrong label of a menu in the menu, and not in the ring beside it', function () {
    $site = ringWithMenu();
    expect(lossesOf(Samples::check($site, ringBrief())))->toBe([]);

    $site['stop-4.html'] = str_replace('>Stop 7<', '>Stop seven<', $site['stop-4.html']);
    $report = Samples::check($site, ringBrief());

    expect(rulesIn($report))->toBe(['nav/menu-differs:renamed'])
        ->and(lossesOf($report))->toBe(['r0' => '0.75']);
});

/** A branching story of two choices, two deep. */
function storyOfSeven(): array
{
    $choices = ['index' => ['left', 'right'], 'left' => ['cave', 'cliff'], 'right' => ['mill', 'moor']];
    $site = [];
    foreach (['index', 'left', 'right', 'cave', 'cliff', 'mill', 'moor'] as $name) {
        $links = implode(' ', array_map(
            fn (string $to) => "<a href=\"$to.html\">Go to the $to</a>",
            $choices[$name] ?? [],
        ));
        $site["$name.html"] = ExampleFiles::page("<p>You are at the $name. $links</p>", ucfirst("$name, a storm"));
    }

    return $site;
}

/** A chain of five in a folder, with a way home. */
function chainOfFive(): array
{
    $site = ['index.html' => ExampleFiles::page('<ul>'.implode('', array_map(
        fn (int $part) => "<li><a href=\"story/$part.html\">Part $part</a></li>",
        range(1, 5),
    )).'</ul>')];
    foreach (range(1, 5) as $part) {
        $links = ['<a href="../index.html">Home</a>'];
        $part > 1 && $links[] = '<a href="'.($part - 1).'.html">The part before</a>';
        $part < 5 && $links[] = '<a href="'.($part + 1).'.html">The next part</a>';
        $site["story/$part.html"] = ExampleFiles::page('<p>'.implode(' ', $links).'</p>', "Part $part");
    }

    return $site;
}

it('counts once what is wrong with one link of a chain or a list', function (Closure $slip, array $losses) {
    $brief = briefOf(
        'kind: navigation, pattern: chain, pages: "story/*.html"',
        'kind: link, to: index.html, pages: "story/*.html"',
        'kind: count, selector: ul > li > a, exactly: 5, pages: home',
        'kind: navigation, pattern: index',
        'kind: files, names: [story/1.html, story/2.html]',
    );
    expect(lossesOf(Samples::check(chainOfFive(), $brief)))->toBe([])
        ->and(lossesOf(Samples::check($slip(chainOfFive()), $brief)))->toBe($losses);
})->with([
    'a link home that leads to another part' => [
        fn (array $site) => ['story/3.html' => str_replace('../index.html', '5.html', $site['story/3.html'])] + $site,
        ['r0' => 'follows r1', 'r1' => '1.2'],
    ],
    'an entry of a list that is not there' => [
        fn (array $site) => ['index.html' => str_replace('<li><a href="story/4.html">Part 4</a></li>', '', $site['index.html'])] + $site,
        ['r2' => 'follows r3', 'r3' => '1.2'],
    ],
    'a page with a wrong name, and links by the right one' => [
        fn (array $site) => array_diff_key($site, ['story/1.html' => 1]) + ['story/new 1.html' => $site['story/1.html']],
        ['r4' => '3'],
    ],
]);

it('tells a third choice once, wherever it leads', function (string $to) {
    $site = storyOfSeven();
    $brief = briefOf('kind: navigation, pattern: branching, choices: 2, depth: 2');
    expect(lossesOf(Samples::check($site, $brief)))->toBe([]);

    $site['index.html'] = str_replace('</a></p>', "</a> <a href=\"$to.html\">Jump</a></p>", $site['index.html']);
    $report = Samples::check($site, $brief);

    expect(rulesIn($report))->toBe(['nav/pattern:surplus'])
        ->and($report->findings[0]->finding->message)->toContain('one choice too many')->toContain('Jump')
        ->and(lossesOf($report))->toBe(['r0' => '1']);
})->with(['cave', 'moor', 'cliff']);

it('costs once what two requirements are short of', function (array $requirements, string $body, array $losses) {
    // The page without a main heading of its own.
    $page = str_replace("<h1>Marrow Sound</h1>\n", '', ExampleFiles::page('<p>x</p>'));
    $report = Samples::check(
        ['index.html' => str_replace('<p>x</p>', $body, $page)],
        briefOf(...$requirements),
    );

    expect(lossesOf($report))->toBe($losses);
})->with([
    'a part, and the picture in it' => [
        ['kind: skeleton, parts: [main, footer]', 'kind: pictures, selector: main img, at_least: 1'],
        '<p><img src="a.png" alt="A gull"></p><footer><p>x</p></footer>',
        ['r0' => '6', 'r1' => 'follows r0'],
    ],
    'a part, and a picture that is not there either' => [
        ['kind: skeleton, parts: [main, footer]', 'kind: pictures, selector: main img, at_least: 1'],
        '<p>No picture.</p><footer><p>x</p></footer>',
        ['r0' => '6', 'r1' => '6'],
    ],
    'a part, and the text in it' => [
        ['kind: skeleton, parts: [main]', 'kind: text, selector: main, at_least: 3'],
        '<p>Four words of text.</p>',
        ['r0' => '6', 'r1' => 'follows r0'],
    ],
    'a part, and text that is too short anyway' => [
        ['kind: skeleton, parts: [main]', 'kind: text, selector: main, at_least: 30'],
        '<p>Four words of text.</p>',
        ['r0' => '6', 'r1' => '6'],
    ],
    'a heading under three names' => [
        ['kind: headings', 'kind: count, selector: h1, exactly: 1', 'kind: skeleton, parts: [{header: [h1]}]'],
        '<header><h2>x</h2></header>',
        ['r0' => '6', 'r1' => 'follows r0', 'r2' => 'follows r0'],
    ],
    'a heading outside its part' => [
        ['kind: skeleton, parts: [{header: [h1]}]', 'kind: headings, inside: header'],
        '<header><p>x</p></header><h1>Marrow Sound</h1>',
        ['r0' => '6', 'r1' => 'follows r0'],
    ],
    'alt text under two names' => [
        ['kind: attributes, selector: img, has: alt', 'kind: pictures, at_least: 1'],
        '<p><img src="a.png"></p>',
        ['r0' => '6', 'r1' => 'follows r0'],
    ],
    'alt text and width' => [
        ['kind: attributes, selector: img, has: width', 'kind: pictures, at_least: 1'],
        '<p><img src="a.png"></p>',
        ['r0' => '6', 'r1' => '6'],
    ],
    'pictures, of which one asks for more' => [
        ['kind: count, selector: img, at_least: 3', 'kind: pictures, at_least: 1'],
        '<p>None.</p>',
        ['r0' => '6', 'r1' => '6'],
    ],
    'a style attribute under two names' => [
        ['kind: stylesheets, inline: refused', 'kind: attributes, selector: p, has_not: style'],
        '<p style="margin: 0">a</p><p>b</p>',
        ['r0' => '6', 'r1' => 'follows r0'],
    ],
    'a start tag that was lost' => [
        ['kind: text, selector: main, at_least: 2', 'kind: markup, rules: [markup]'],
        '<p>Four words of text.</p></main>',
        ['r0' => 'follows r1', 'r1' => '6'],
    ],
    'a low contrast in a style attribute that is not allowed' => [
        ['kind: stylesheets, inline: refused', 'kind: contrast, level: AA'],
        '<p style="color: #eeeeee">a</p><p>b</p>',
        ['r0' => '6', 'r1' => 'follows r0'],
    ],
    'a kind of element that is used nowhere' => [
        ['kind: attributes, selector: img, has: alt', 'kind: count, each_of: [img, p]'],
        '<p>None.</p>',
        ['r0' => '6', 'r1' => 'follows r0'],
    ],
    'a requirement that stands alone' => [
        ['kind: headings', 'kind: count, selector: h1, exactly: 1, counts: on its own'],
        '<h2>x</h2>',
        ['r0' => '6', 'r1' => '6'],
    ],
]);

it('counts a menu in another part once, where the parts are asked for', function (Closure $slip, string $variant) {
    $site = [];
    foreach (['index', 'tides', 'birds', 'calendar'] as $name) {
        $site["$name.html"] = ExampleFiles::page(
            '<header><p>Sound</p></header><nav><a href="index.html">Home</a> <a href="tides.html">Tides</a> '
                .'<a href="birds.html">Birds</a> <a href="calendar.html">Calendar</a></nav><main><p>x</p></main>',
            ucfirst($name),
        );
    }
    $brief = briefOf('kind: navigation, same_everywhere: true', 'kind: skeleton, parts: [header, nav, main]');
    expect(lossesOf(Samples::check($site, $brief)))->toBe([]);

    $site['birds.html'] = $slip($site['birds.html']);
    $report = Samples::check($site, $brief);

    expect(lossesOf($report))->toBe(['r0' => 'follows r1', 'r1' => '1.5'])
        ->and($report->outcomes[1]->reasons[0]->shortfall->draft->variant)->toBe($variant);
})->with([
    'in the header' => [fn (string $page) => preg_replace('~(</header>)(<nav>.*</nav>)~', '$2$1', $page), 'inside'],
    'in an open header' => [fn (string $page) => str_replace('</header>', '', $page), 'inside'],
    'after the main part' => [fn (string $page) => preg_replace('~(<nav>.*</nav>)(<main>.*</main>)~', '$2$1', $page), 'order'],
    'without a header' => [fn (string $page) => preg_replace('~<header>.*</header>~', '', $page), 'missing'],
]);

it('counts a missing page in each requirement that asks for something on it', function () {
    $brief = briefOf(
        'kind: files, names: [index.html, tides.html]',
        'kind: count, selector: td, exactly: 1, pages: tides.html',
        'kind: titles',
    );
    $report = Samples::check(['index.html' => ExampleFiles::page('<p>x</p>')], $brief);

    expect(lossesOf($report))->toBe(['r0' => '3', 'r1' => '6', 'r2' => '3'])
        ->and(rulesIn($report))->toBe(['file/missing'])
        ->and($report->findings[0]->fingerprint)->toBe($report->outcomes[2]->reasons[0]->finding);
});

it('counts a page that no browser shows as one that is missing', function () {
    $brief = briefOf('kind: files, names: [index.html, tides.html]', 'kind: titles');
    $home = ['index.html' => ExampleFiles::page('<p>x</p>')];
    $unseen = ['tides.html.txt' => ExampleFiles::page('<p>x</p>', 'Tides')];
    $lost = ['r0' => '3', 'r1' => '3'];

    expect(lossesOf(Samples::check([...$home, ...$unseen], $brief)))->toBe($lost)
        ->and(lossesOf(Samples::check($home, $brief)))->toBe($lost);
});

it('judges a page with a wrong name as the page that it is meant to be', function (string $name, string $rule) {
    $brief = briefOf(
        'kind: files, names: [index.html, tides.html]',
        'kind: count, selector: td, exactly: 1, pages: tides.html',
        'kind: titles',
        'kind: navigation, menu: [{index.html: Home}, {tides.html: Tides}]',
    );
    $menu = "<nav><ul><li><a href=\"index.html\">Home</a></li><li><a href=\"$name\">Tides</a></li></ul></nav>";
    $report = Samples::check([
        'index.html' => ExampleFiles::page("$menu<p>x</p>"),
        $name => ExampleFiles::page("$menu<table><tr><td>Ebb</td></tr></table>", 'Tides'),
    ], $brief);

    expect(lossesOf($report))->toBe(['r0' => '3'])->and(rulesIn($report))->toContain($rule);
})->with([
    'a capital' => ['Tides.html', 'file/name'],
    'a letter too many' => ['tidess.html', 'file/missing'],
]);

it('says of a broken way that it leads nowhere, and not where it should lead', function () {
    $site = ringWithMenu();
    $site['stop-4.html'] = str_replace('<a href="stop-5.html">On</a>', '<a href="Stop-5.html">On</a>', $site['stop-4.html']);
    $reasons = Samples::check($site, ringBrief())->outcomes[1]->reasons;

    expect($reasons[0]->shortfall->draft->message)->toContain('its address `Stop-5.html` leads nowhere');
});

it('does not call a menu met that has a broken link', function () {
    $site = ringWithMenu();
    $site['stop-4.html'] = str_replace('<li><a href="stop-7.html">', '<li><a href="Stop-7.html">', $site['stop-4.html']);
    $report = Samples::check($site, ringBrief());

    expect($report->outcomes[0]->kind->value)->toBe('partly')
        ->and(lossesOf($report))->toBe(['r0' => '0.75'])
        ->and(rulesIn($report))->toBe(['link/letter-case']);
});

it('counts a link that is short in the menu and in a link that must be there once', function () {
    $site = ringWithMenu();
    $site['stop-4.html'] = str_replace('<li><a href="stop-7.html">Stop 7</a></li>', '', $site['stop-4.html']);
    $report = Samples::check($site, briefOf(
        'kind: navigation, same_everywhere: true',
        'kind: link, to: stop-7.html, pages: stop-4.html',
    ));

    expect(array_filter(lossesOf($report), fn (string $one) => str_starts_with($one, 'follows')))->toHaveCount(1);
});

it('scales points to a total, and the parts add up to it', function (string $points) {
    $lines = '';
    foreach (explode(' ', $points) as $at => $one) {
        $lines .= "  - {id: r$at, title: R, kind: look, points: $one}\n";
    }
    $source = "title: T\nmarking: {total: 100}\nrequirements:\n$lines";
    $brief = BriefReader::read($source);

    expect(round($brief->points(), 2))->toBe(100.0)
        ->and(BriefReader::read(BriefWriter::yaml($brief))->points())->toBe($brief->points());
})->with(['1 1 1', '10 20 20', '7 0 3.5 2.25']);

/** @return list<string> requirements that lose points by one and the same slip */
function doubleIn(Brief $brief, array $files): array
{
    $report = Samples::check($files, $brief);
    $losing = array_filter(
        $report->outcomes,
        fn (Outcome $one) => $one->points->awarded < $one->points->possible && $one->requirement::kind() !== 'look',
    );

    return array_values(array_map(fn (Outcome $one) => "{$one->requirement->terms->id}: $one->measured", $losing));
}

it('proposes no two sentences that one slip breaks', function (string $folder, Closure $slip) {
    $model = (new FolderReader)->read(__DIR__."/../../../demo/hand-ins/$folder");
    $files = array_map(fn ($file) => $file->bytes, $model->files());
    $brief = Proposal::from(ParsedSite::of($model), 'T');
    expect(doubleIn($brief, $files))->toBe([]);
    $path = array_values(array_filter(array_keys($files), fn (string $one) => str_ends_with($one, '.html') && $one !== 'index.html'))[0];
    $broken = $slip($files[$path]);
    expect($broken)->not->toBe($files[$path])
        ->and(count(doubleIn($brief, [$path => $broken] + $files)))->toBeLessThanOrEqual(1);
})->with([
    'island-almanac/glindqvay/glindqvay_almanac', 'lamplighters-round/glindqvay', 'storm-drill/afennimore',
])->with([
    'a label' => [fn (string $page) => preg_replace('~(<a href="[^"]+">)[^<]+</a>~', '$1Elsewhere</a>', $page, 1)],
    'a link' => [fn (string $page) => preg_replace('~<a href="~', '<a href="x', $page, 1)],
    'the main tags' => [fn (string $page) => preg_replace('~</?main>|</?footer>~', '', $page)],
    'the heading' => [fn (string $page) => preg_replace('~<h1>.*?</h1>~s', '', $page)],
    'a stylesheet' => [fn (string $page) => preg_replace('~<link rel="stylesheet"[^>]*>~', '', $page, 1)],
    'the title' => [fn (string $page) => preg_replace('~<title>.*?</title>~s', '', $page)],
]);

it('proposes points that add up to a total, in halves', function (float $total) {
    $model = (new FolderReader)->read(__DIR__.'/../../../demo/hand-ins/island-almanac/glindqvay');
    $brief = Proposal::from(ParsedSite::of($model), 'T', $total);

    expect($brief->points())->toBe($total);
    foreach ($brief->requirements as $requirement) {
        expect(fmod($requirement->terms->points, 0.5))->toBe(0.0);
    }
})->with([20.0, 50.0, 100.0]);

it('keeps what one slip breaks in one requirement, however it is made', function () {
    $seed = Seed::fresh();
    $site = ringWithMenu();
    $brief = ringBrief();
    for ($trial = 0; $trial < 60; $trial++) {
        [, $files] = Breakage::of($site, $seed);
        $bearing = [];
        foreach (Samples::check($files, $brief)->outcomes as $outcome) {
            foreach ($outcome->reasons as $reason) {
                if ($reason->cost > 0.0 && ! $reason->shortfall->isMissingPage) {
                    $bearing[(string) $reason->finding][$outcome->requirement->terms->id] = true;
                }
            }
        }

        expect(array_filter($bearing, fn (array $one) => count($one) > 1))->toBe([], "seed $seed->value, trial $trial");
    }
});
