<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\RuleNames;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Rules\Rule;
use InkedMargin\Core\Tests\Samples;

/** A brief with one requirement. */
function withRequirement(string $fields): string
{
    return "title: Quay\nrequirements:\n  - id: one\n    title: One\n    $fields\n";
}

/** @return list<string> */
function objectionsTo(string $source, ?Materials $materials = null): array
{
    try {
        BriefReader::readNew($source, $materials);
    } catch (BriefError $error) {
        return $error->problems;
    }

    return [];
}

it('refuses in a new brief what nobody can mean', function (string $source, string $problem) {
    expect(objectionsTo($source))->toBe([$problem]);
})->with([
    'a rule that there is not' => [
        withRequirement("kind: markup\n    rules: [link/missing-fiel]"),
        'line 6, column 5: requirement "one", rules: there is no rule "link/missing-fiel"; did you mean "link/missing-file"?',
    ],
    'a rule to ignore that there is not' => [
        "title: Quay\nignore: [nav/menu-oder]\n".substr(withRequirement('kind: look'), strlen("title: Quay\n")),
        'ignore.1.rules: there is no rule "nav/menu-oder"; did you mean "nav/menu-order"?',
    ],
    'an element that there is not' => [
        withRequirement("kind: count\n    selector: tabel td\n    exactly: 12"),
        'line 6, column 5: requirement "one", selector: there is no element `tabel`; did you mean "table"?',
    ],
    'a property that there is not' => [
        withRequirement("kind: stylesheets\n    sheets: [site.css]\n    uses: [colr]"),
        'line 7, column 5: requirement "one", uses: "colr" is neither a property nor an element; did you mean "color"?',
    ],
    'exactly beside at least' => [
        withRequirement("kind: count\n    selector: td\n    exactly: 12\n    at_least: 3"),
        'line 8, column 5: requirement "one", at_least: "exactly" says it all: leave "at_least" out',
    ],
    'all pages left out' => [
        withRequirement("kind: titles\n    pages: {not: [\"*.html\"]}"),
        'line 6, column 5: requirement "one", pages: this leaves out every page',
    ],
    'an address without a scheme' => [
        withRequirement("kind: link\n    to: museum.example"),
        'line 6, column 5: requirement "one", to: an address of another site has its scheme: `https://museum.example`',
    ],
    'a path that begins with a slash' => [
        withRequirement("kind: files\n    names: [/index.html]"),
        'line 6, column 5: requirement "one", names: no path of a site can be "/index.html"; did you mean "index.html"?',
    ],
    'a path with backslashes' => [
        withRequirement("kind: stylesheets\n    sheets: ['styles\\site.css']"),
        'line 6, column 5: requirement "one", sheets: no path of a site can be "styles\site.css"; did you mean "styles/site.css"?',
    ],
    'a page from here' => [
        withRequirement("kind: titles\n    pages: ./index.html"),
        'line 6, column 5: requirement "one", pages: no path of a site can be "./index.html"; did you mean "index.html"?',
    ],
    'a host with its scheme' => [
        withRequirement("kind: address\n    host: 'https://*.wrenquay.example'"),
        'line 6, column 5: requirement "one", host: a host is a name, without its scheme and path; did you mean "*.wrenquay.example"?',
    ],
    'a part that there is not' => [
        withRequirement("kind: skeleton\n    parts: [haeder, main]"),
        'line 6, column 5: requirement "one", parts: there is no element `haeder`; did you mean "header"?',
    ],
]);

it('refuses a count that no sentence can name, unless the brief has a message for it', function () {
    $count = "kind: count\n    selector: \"img:not(:has(+ br + br))\"\n    exactly: 0";

    expect(objectionsTo(withRequirement($count)))->toBe([
        'line 6, column 5: requirement "one", selector: this selector cannot be said in a sentence: write in "message" what the student has to do',
    ])->and(objectionsTo(withRequirement("$count\n    message: Two breaks after each picture.")))->toBe([]);
});

it('takes a selector that a sentence can name', function (string $selector) {
    expect(objectionsTo(withRequirement("kind: count\n    selector: \"$selector\"\n    exactly: 2")))->toBe([]);
})->with(['td', 'main > p', 'a:not([target])', 'li:first-child', 'img[src^=images]', ':is(h2, h3)']);

it('refuses what the assignment does not have', function (string $fields, array $given, string $problem) {
    $site = fn (string $role) => isset($given[$role]) ? Samples::site($given[$role]) : null;
    $materials = new Materials($site('starter'), $site('model'), $site('copy'), $site('sheets'));

    expect(objectionsTo(withRequirement($fields), $materials))->toBe([$problem]);
})->with([
    'a text of nearly that name' => [
        "kind: text\n    copy: opning.txt",
        ['copy' => ['opening.txt' => 'Boats.']],
        'line 6, column 5: requirement "one", copy: the assignment has no text "opning.txt"; did you mean "opening.txt"?',
    ],
    'starter files' => [
        "kind: starter\n    compare: true",
        [],
        'line 6, column 5: requirement "one", compare: the assignment has no starter files to compare with: add them first',
    ],
    'a model answer' => [
        'kind: model',
        [],
        'line 5, column 5: requirement "one", kind: the assignment has no model answer to compare with: add them first',
    ],
    'stylesheets' => [
        "kind: stylesheets\n    given: true",
        [],
        'line 6, column 5: requirement "one", given: the assignment has no stylesheets to compare with: add them first',
    ],
    'a page of nearly that name' => [
        "kind: titles\n    pages: pages/tide.html",
        ['model' => ['index.html' => '', 'pages/tides.html' => '']],
        'line 6, column 5: requirement "one", pages: no requirement asks for a page "pages/tide.html"; did you mean "pages/tides.html"?',
    ],
]);

it('takes pages that the brief lists, or that match what it lists', function (string $names, string $page) {
    $brief = "title: Quay\nrequirements:\n  - {id: files, kind: files, title: F, names: [$names]}\n"
        ."  - {id: one, kind: titles, title: One, pages: $page}\n";

    expect(objectionsTo($brief))->toBe([]);
})->with([
    'listed' => ['index.html, pages/tides.html', 'pages/tides.html'],
    'matching' => ['index.html, pages/*.html', 'pages/tide.html'],
    'nothing near it' => ['index.html', 'crossing/winter.html'],
]);

it('still reads such a brief that was kept', function () {
    $kept = withRequirement("kind: count\n    selector: tabel\n    exactly: 12\n    at_least: 3");

    expect(BriefReader::read($kept))->toBeInstanceOf(Brief::class);
});

it('has nothing against the briefs of the guides', function (string $file) {
    expect(objectionsTo((string) file_get_contents($file)))->toBe([]);
})->with(fn () => array_combine(
    array_map(fn (string $file) => basename(dirname($file)).'/'.basename($file), $files = [
        ...(glob(dirname(__DIR__, 3).'/docs/briefs/*/*.yaml') ?: []), ...(glob(dirname(__DIR__, 3).'/demo/briefs/*.yaml') ?: []),
    ]),
    array_map(fn (string $file) => [$file], $files),
));

it('accepts rules, variants and groups', function () {
    expect(objectionsTo(withRequirement("kind: markup\n    rules: [link, link/empty, 'link/bad-address:space']")))->toBe([]);
});

it('knows the rules that there are', function () {
    $ids = array_map(fn (Rule $rule) => $rule->id, Catalogue::rules());
    sort($ids);

    expect(RuleNames::all())->toBe($ids);
});
