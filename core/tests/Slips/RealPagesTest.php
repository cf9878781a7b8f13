<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Slips;

use InkedMargin\Core\Marking\PlacedFinding;
use InkedMargin\Core\Tests\Samples;

// What published templates do on purpose, and was once told as a slip. Drawn from packages that no other test uses.

it('has nothing against what real pages do on purpose', function (string $rule, string $html, string $css) {
    $head = "<link rel=\"stylesheet\" href=\"s.css\">\n";
    $files = [
        'index.html' => Samples::page($html, head: $head),
        's.css' => $css,
        'a.png' => Samples::png(9),
        'b.png' => Samples::png(8),
    ];
    $found = array_map(fn (PlacedFinding $one) => $one->finding->rule, Samples::check($files)->findings);

    expect($found)->not->toContain($rule);
})->with([
    'words hidden by a font without size' => ['style/no-generic-font', '<p>a</p>', "p { font: 0/0 a }\n"],
    'an icon font' => ['style/no-generic-font', '<p>a</p>', "p { font-family: 'Boat Icons' }\n"],
    'dots of a carousel, which a script uses' => [
        'markup/empty-element', '<ol><li data-slide-to="0"></li><li data-slide-to="1"></li></ol>', '',
    ],
    'a picture that a script loads when it is seen' => [
        'markup/missing-attribute', '<p><img data-src="a.png" alt="A boat"></p>', '',
    ],
]);

it('still tells the slips that look like them', function (string $rule, string $html, string $css) {
    $files = [
        'index.html' => Samples::page($html, head: "<link rel=\"stylesheet\" href=\"s.css\">\n"),
        's.css' => $css,
    ];
    $found = array_map(fn (PlacedFinding $one) => $one->finding->rule, Samples::check($files)->findings);

    expect($found)->toContain($rule);
})->with([
    'a font with a size' => ['style/no-generic-font', '<p>a</p>', "p { font: 1em/1 Georgia }\n"],
    'an item that nothing fills' => ['markup/empty-element', '<ol><li></li><li>Rope</li></ol>', ''],
    'a picture without its file' => ['markup/missing-attribute', '<p><img alt="A boat"></p>', ''],
]);

it('offers no empty alt text for a picture that is all of a link', function (string $html, bool $hasMend) {
    $found = Samples::check(['index.html' => Samples::page($html), 'a.png' => Samples::png()])->findings;
    $alt = array_values(array_filter($found, fn (PlacedFinding $one) => $one->finding->rule === 'markup/missing-alt'));

    expect($alt[0]->finding->mend !== null)->toBe($hasMend);
})->with([
    ['<p><a href="index.html"><img src="a.png"></a></p>', false],
    ['<p><a href="index.html"><img src="a.png"> Home</a></p>', true],
    ['<p><img src="a.png"></p>', true],
]);

it('reads a noscript of the head as browsers with scripts do', function () {
    $page = "<!DOCTYPE html>\n<html lang=\"en\">\n<meta charset=\"utf-8\">\n<title>Quay</title>\n"
        .'<noscript><a href="index.html">On</a></noscript>'."\n<script>location = 'index.html'</script>\n</html>\n";
    $found = array_map(fn (PlacedFinding $one) => $one->finding->rule, Samples::check(['index.html' => $page])->findings);

    expect($found)->not->toContain('markup/misnested');
});

it('does not take words that fit any picture for those of another', function (string $alt, bool $isTold) {
    $page = fn (string $title, string $picture, string $alt) => Samples::page(
        "<p><img src=\"$picture.png\" alt=\"$alt\"> Words about $title.</p><p><a href=\"index.html\">Home</a></p>",
        $title,
    );
    $files = [
        'index.html' => $page('Quay', 'quay', 'The quay at noon')
            .'<p><a href="boats.html">Boats</a> <a href="crew.html">Crew</a></p>',
        'boats.html' => $page('Boats', 'boats', $alt),
        'crew.html' => $page('Crew', 'crew', $alt),
        'quay.png' => Samples::png(7),
        'boats.png' => Samples::png(8),
        'crew.png' => Samples::png(9),
    ];
    $found = array_map(fn (PlacedFinding $one) => $one->finding->rule, Samples::check($files)->findings);

    expect(in_array('content/same-picture', $found, true))->toBe($isTold);
})->with([['Thumbnail image', false], ['Rounded Image', false], ['Photo 1', false], ['Three boats at the quay', true]]);
