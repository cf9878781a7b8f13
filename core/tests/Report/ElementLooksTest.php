<?php

declare(strict_types=1);

use InkedMargin\Core\Report\ElementLooks;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Tests\Samples;

/** What is said of an element of a page with a stylesheet. */
function looksOf(string $body, string $css, string $at): ?array
{
    return ElementLooks::of(ParsedSite::of(Samples::site([
        'index.html' => Samples::page($body, head: '<link rel="stylesheet" href="s.css">'),
        's.css' => $css,
    ])), 'index.html', $at);
}

/** One property, as the looks have it. */
function lookOf(array $looks, string $property): array
{
    return array_values(array_filter($looks['looks'], fn (array $one) => $one['name'] === $property))[0];
}

it('tells where an element is, and the ways on from it', function () {
    $looks = looksOf('<p id="a" class="b c">x</p><ul><li>y</li></ul>', '', '1.1');

    expect($looks)->not->toBeNull()
        ->and($looks['at'])->toBe('1.1')
        ->and($looks['tag'])->toContain('p')
        ->and($looks['around'])->not->toBeNull()
        ->and($looks['inside'])->toBeNull()
        ->and($looks['after'])->not->toBeNull();
});

it('knows nothing of an element or a page that is not there', function (string $path, string $at) {
    $site = ParsedSite::of(Samples::site(['index.html' => Samples::page('<p>x</p>')]));

    expect(ElementLooks::of($site, $path, $at))->toBeNull();
})->with([['index.html', '1.99'], ['index.html', '9'], ['none.html', '']]);

it('says what sets a property, and what it beat', function () {
    $looks = looksOf('<p class="note">x</p>', "p { color: #333 }\n.note { color: #900 }", '1.1');
    $colour = lookOf($looks, 'Text colour');

    expect(json_encode($colour))->toContain('#900')->toContain('.note')->toContain('s.css')->toContain('#333');
});

it('says from which element around it a property comes', function () {
    $looks = looksOf('<div><p>x</p></div>', 'div { color: #036 }', '1.1.0');

    expect(json_encode(lookOf($looks, 'Text colour')))->toContain('#036')->toContain('div');
});

it('gives the contrast of text that is hard to read', function () {
    $looks = looksOf('<p>x</p>', 'body { background: #fff } p { color: #999 }', '1.1');

    expect($looks['contrast'])->toContain('2.8');
});
