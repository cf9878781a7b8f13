<?php

declare(strict_types=1);

use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Markup\AttributeTable;
use InkedMargin\Core\Markup\ContentModels;
use InkedMargin\Core\Markup\ElementTable;
use InkedMargin\Core\Tests\Samples;

/** @return list<string> what the content rule says of a body: the reasons, in order */
function misplacedIn(string $body): array
{
    $findings = array_filter(
        Samples::check(['index.html' => Samples::page($body)])->findings,
        fn (PlacedFinding $placed) => $placed->finding->rule === 'markup/content-model',
    );

    return array_values(array_map(fn (PlacedFinding $placed) => $placed->finding->message, $findings));
}

// Source: HTML Standard, the examples of the sections named, shortened where the words do not matter. All of them
// conform.
it(
    'has nothing against the examples of the standard',
    fn (string $body) => expect(misplacedIn($body))->toBe([]),
)->with([
    '3.2.5.3, transparent content' => ['<p><object><ins><map name="m"><a href="/">Apples</a></map></ins></object></p>'],
    '3.2.5.4, paragraphs and ins' => [
        '<section><ins><h2>Example of paragraphs</h2>This is the <em>first</em> paragraph in</ins> this example.<p>This is the second.</p></section>',
    ],
    '3.2.5.4, a heading in a link in a header' => [
        '<header>Welcome! <a href="about.html">This is home of... <h2>The Falcons!</h2> The Lockheed Martin multirole jet fighter aircraft!</a> This page discusses.</header>',
    ],
    '4.3.3, a section that holds sections' => [
        '<article><hgroup><h2>Apples</h2><p>Tasty, delicious fruit!</p></hgroup><section><h3>Red Delicious</h3><p>Bright red.</p></section></article>',
    ],
    '4.3.4, a nav of headings and lists' => [
        '<nav><h2>Navigation</h2><ul><li><a href="articles.html">Index of all articles</a></li></ul></nav>',
    ],
    '4.3.4, a nav of running text' => [
        '<nav><p>You are on my home page. To the north lies <a href="/blog">my blog</a>.</p></nav>',
    ],
    '4.3.9, a footer of an article in a page with a footer' => [
        '<article><p>a</p><footer><a href="?t=1">b</a></footer></article><footer><nav><p>c</p></nav><p><small>d</small></p></footer>',
    ],
    '4.4.5, an ordered list with a start' => ['<ol start="5"><li>Switzerland<li value="8">Norway</ol>'],
    '4.4.9, several terms with one description' => [
        '<dl><dt>Authors</dt><dd>John</dd><dd>Luke</dd><dt>Editor</dt><dd>Frank</dd></dl>',
    ],
    '4.4.9, groups in divs' => [
        '<dl><div><dt>Last modified time</dt><dd>2004-12-23T23:33Z</dd></div><div><dt>Recommended update interval</dt><dd>60s</dd></div></dl>',
    ],
    '4.4.12, a caption first, and one last' => [
        '<figure><figcaption>a</figcaption><pre>b</pre></figure><figure><p>b</p><figcaption>c</figcaption></figure>',
    ],
    '4.4.14, a second main that is hidden' => ['<main><p>a</p></main><main hidden><p>b</p></main>'],
    '4.5.1, a section in a link' => [
        '<aside><a href="https://ad.example.com/"><section><h2>Mellblomatic 9000!</h2><p>Turn all your widgets into mellbloms!</p></section></a></aside>',
    ],
    '4.5.10, ruby with parentheses' => [
        '<p><ruby>漢<rp>（</rp><rt>かん</rt><rp>）</rp>字<rp>（</rp><rt>じ</rt><rp>）</rp></ruby></p>',
    ],
    '4.7.1, ins and del around blocks' => ['<aside><ins><p>I like fruit.</p></ins></aside><del><p>a</p></del>'],
    '4.8.2, picture with sources' => [
        '<picture><source media="(min-width: 45em)" srcset="large.jpg"><source srcset="s.jpg"><img src="index.html" alt="The president giving an award."></picture>',
    ],
    '4.8.8, video with sources and tracks' => [
        '<video controls><source src="a.mp4"><track src="b.vtt"><p>c</p></video>',
    ],
    '4.9.1, a table in all its parts' => [
        '<table><caption>a</caption><colgroup><col></colgroup><thead><tr><th>a</th></tr></thead><tbody><tr><td>b</td></tr></tbody><tbody><tr><td>c</td></tr></tbody><tfoot><tr><td>d</td></tr></tfoot></table>',
    ],
    '4.10.4, a label around its control' => [
        '<label>Full name: <input name="fn"> <small>Format: First Last</small></label>',
    ],
    '4.10.15, a fieldset with a checkbox in its legend' => [
        '<fieldset><legend><label><input type="checkbox"> Use Club Card</label></legend><p>a</p></fieldset>',
    ],
    '4.11.1, details with a heading in its summary' => [
        '<details><summary><h3>a</h3></summary><dl><dt>b</dt><dd>c</dd></dl></details>',
    ],
]);

// Source: HTML Standard, the content models and contexts of the sections named; examples from memory.
it('says what stands against a content model, and why', fn (string $body, string ...$reasons) => expect(array_map(
    fn (
        string $message,
        string $reason,
    ) => str_contains($message, $reason) ? $reason : $message, misplacedIn($body), $reasons,
))->toBe($reasons))->with([
    '3.2.5.3, a block in a link in a phrase' => [
        '<em><a href="#x"><p id="x">a</p></a></em>',
        '`<p>` cannot be inside `<em>`',
    ],
    '3.2.5.2.7, a control in a link' => [
        '<a href="#">a <img src="index.html" alt="b" usemap="#m"></a><map name="m"></map>',
        '`<img>` cannot be inside `<a>`',
    ],
    '3.2.5.2.7, what has a tabindex in a button' => [
        '<button>a <span tabindex="0">b</span></button>',
        '`<span>` cannot be inside `<button>`',
    ],
    '4.2.3, a base in the body' => ['<base href="a/">', '`<base>` belongs in `<head>`'],
    '4.2.4, a link in the body that is no body-ok one' => [
        '<link rel="icon" href="index.html">',
        '`<link>` belongs in `<head>`',
    ],
    '4.2.6, a style in a part' => ['<section><style>p {}</style></section>', '`<style>` belongs in `<head>`'],
    '4.3.8, a header in a header' => [
        '<header><p>a</p><header>b</header></header>',
        '`<header>` cannot be inside `<header>`',
    ],
    '4.3.10, a heading in an address' => ['<address><h2>a</h2></address>', '`<h2>` cannot be inside `<address>`'],
    '4.4.5, a list right in a list' => ['<ul><li>a</li><ul><li>b</li></ul></ul>', '`<ul>` can only contain `<li>`'],
    '4.4.8, an item outside a list' => ['<nav><li>a</li></nav>', 'This `<li>` is not inside `<ul>` or `<ol>`'],
    '4.4.9, a term without a description, and the other way round' => [
        '<dl><dd>a</dd><dt>b</dt></dl>',
        'This `<dd>` has no `<dt>` before it',
        'This `<dt>` has no `<dd>` after it',
    ],
    '4.4.10, a heading in a term' => ['<dl><dt><h2>a</h2></dt><dd>b</dd></dl>', '`<h2>` cannot be inside `<dt>`'],
    '4.4.12, a caption in the middle of a figure' => [
        '<figure><p>a</p><figcaption>b</figcaption><p>c</p></figure>',
        '`<figcaption>` must be the first or the last thing in `<figure>`',
    ],
    '4.4.12, a second caption' => [
        '<figure><figcaption>b</figcaption><p>c</p><figcaption>d</figcaption></figure>',
        '`<figure>` has a second `<figcaption>`',
    ],
    '4.4.14, a main in a section' => ['<section><main>a</main></section>', '`<main>` cannot be inside `<section>`'],
    '4.5.8, a definition in a definition' => ['<dfn>a <dfn>b</dfn></dfn>', '`<dfn>` cannot be inside `<dfn>`'],
    '4.8.13, an area outside a map' => [
        '<p><area href="index.html" alt="a"></p>',
        'This `<area>` is not inside `<map>`',
    ],
    '4.9.2, a table in a caption' => [
        '<table><caption><table><tr><td>a</td></tr></table></caption><tr><td>b</td></tr></table>',
        '`<table>` cannot be inside `<caption>`',
    ],
    '4.9.1, a head after the body of a table' => [
        '<table><tbody><tr><td>b</td></tr></tbody><thead><tr><th>a</th></tr></thead></table>',
        '`<thead>` must come before `<tbody>`',
    ],
    '4.10.4, a label in a label' => ['<label>a <label>b</label></label>', '`<label>` cannot be inside `<label>`'],
    '4.10.15, a legend that is not the first' => [
        '<fieldset><p>a</p><legend>b</legend></fieldset>',
        '`<legend>` must come before `<p>`',
    ],
    '4.11.1, a summary that is not the first' => [
        '<details><p>a</p><summary>b</summary></details>',
        '`<summary>` must come before `<p>`',
    ],
]);

// Reference: hast-util-phrasing 3.0.1 (npm), which knows the standard's phrasing content. It counts a link only with
// itemprop or
// a body-ok rel and a meta only with itemprop, as the rule does.
it('takes the same elements for phrasing content as the reference', function () {
    $names = ElementTable::load()->current();
    $script = "import {phrasing} from 'hast-util-phrasing'; console.log(JSON.stringify(".json_encode($names)
        .".filter(n => phrasing({type: 'element', tagName: n, properties: {itemProp: 'x'}, children: []}))))";
    $phrasing = json_decode(
        (string) shell_exec(
            'cd '.escapeshellarg(__DIR__.'/../../..').' && node --input-type=module -e '.escapeshellarg($script),
        ),
        true,
        flags: JSON_THROW_ON_ERROR,
    );
    $ours = array_values(array_filter($names, ContentModels::load()->isPhrasing(...)));

    // The reference leaves out slot, which 3.2.5.2.5 names.
    expect(
        array_values(array_diff($ours, $phrasing)),
    )->toBe(['slot'])->and(array_values(array_diff($phrasing, $ours)))->toBe([]);
});

// Reference: html-enumerated-attributes 1.1.1 (npm). Left out: what the standard has changed or made obsolete since it
// was made.
it('takes the keywords that the reference takes, and no other', function () {
    $script = "import {enumeratedAttributes as all} from 'html-enumerated-attributes'; console.log(JSON.stringify(Object.entries(all).flatMap(([name, found]) => [found].flat().filter(one => !one.allowUnknown).flatMap(one => (one.selector ?? 'div').split(', ').map(element => [name, element, one.states.flat().filter(state => state !== null)])))))";
    $rows = json_decode(
        (string) shell_exec(
            'cd '.escapeshellarg(__DIR__.'/../../..').' && node --input-type=module -e '.escapeshellarg($script),
        ),
        true,
        flags: JSON_THROW_ON_ERROR,
    );
    $changed = ['charset', 'inputmode', 'shape'];
    $obsolete = ['marquee', 'keygen', 'li', 'menu', 'menuitem', 'ul'];
    $table = AttributeTable::load();
    foreach ($rows as [$name, $element, $keywords]) {
        if (in_array($name, $changed, true) || in_array($element, $obsolete, true)) {
            continue;
        }
        foreach (array_diff($keywords, ['', 'menu']) as $keyword) {
            expect($table->expected($element, $name, $keyword))->toBeNull("$element $name=$keyword");
        }
        expect($table->expected($element, $name, 'nonsense'))->not->toBeNull("$element $name");
    }
    expect(count($rows))->toBeGreaterThan(40);
});
