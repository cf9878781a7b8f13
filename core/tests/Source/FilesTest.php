<?php

declare(strict_types=1);

use InkedMargin\Core\Source\FileKind;
use InkedMargin\Core\Source\PictureSize;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Source\Utf8;
use InkedMargin\Core\Tests\Samples;

it('tells what a file is for by its extension', function (string $path, FileKind $kind) {
    expect((new SourceFile($path, ''))->kind())->toBe($kind);
})->with([
    ['index.html', FileKind::Page],
    ['INDEX.HTM', FileKind::Page],
    ['old/page.xhtml', FileKind::Page],
    ['site.css', FileKind::Stylesheet],
    ['img/gull.JPG', FileKind::Picture],
    ['gull.svg', FileKind::Picture],
    ['menu.mjs', FileKind::Script],
    ['tides.pdf', FileKind::Other],
    ['README', FileKind::Other],
    ['html', FileKind::Other],
]);

it('reads the size of a picture', function (string $bytes, ?array $size) {
    $found = PictureSize::of(new SourceFile('a.png', $bytes));

    expect($found === null ? null : [$found->width, $found->height])->toBe($size);
})->with([
    'a picture' => [Samples::png(31, 17), [31, 17]],
    'cut off in its header' => [substr(Samples::png(31, 17), 0, 12), null],
    'text under the name of a picture' => ['no picture', null],
    'nothing' => ['', null],
    'a drawing has no pixels' => ['<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>', null],
]);

it('makes text of bytes that are not UTF-8 and leaves the setting of PHP alone', function () {
    $before = mb_substitute_character();

    expect(Utf8::scrub("ebb \xe4 flow"))->toBe("ebb \u{FFFD} flow")
        ->and(Utf8::scrub('Ebbe – Flut'))->toBe('Ebbe – Flut')
        ->and(Utf8::convert("\xe4", 'ISO-8859-1'))->toBe('ä')
        ->and(mb_substitute_character())->toBe($before);
});
