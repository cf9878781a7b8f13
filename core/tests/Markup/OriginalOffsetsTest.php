<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\FileEncoding;
use InkedMargin\Core\Markup\OriginalOffsets;
use InkedMargin\Core\Markup\Prescan;

it('finds where each letter of a decoded page was in its file', function (
    string $label,
    string $text,
    string $converter,
) {
    $bytes = (string) UConverter::transcode($text, $converter, 'UTF-8');
    $head = "<meta charset=\"$label\">";
    $encoding = FileEncoding::of(str_starts_with($label, 'utf-16') ? "\xFF\xFE$bytes" : $head.$bytes);
    $page = str_starts_with($label, 'utf-16') ? "\xFF\xFE$bytes" : $head.$bytes;
    $decoded = $encoding->decode($page);
    $offsets = new OriginalOffsets($page, $encoding);
    $letters = mb_str_split($decoded);
    $at = 0;
    foreach ($letters as $letter) {
        $from = $offsets->of($at);
        $to = $offsets->of($at + strlen($letter));
        expect($encoding->decode(substr($page, $from, $to - $from)))->toBe($letter);
        $at += strlen($letter);
    }
})->with([
    'a byte a letter' => ['windows-1252', "café <b>naïve</b>\nübel", 'ibm-5348_P100-1997'],
    'another of those' => ['iso-8859-5', 'Прилив и отлив', 'iso-8859-5'],
    'two bytes a letter' => ['shift_jis', "潮の満ち引き\nと鳥", 'windows-31j'],
    'one, two or four bytes' => ['gb18030', '潮汐 und 🐦', 'gb18030'],
]);

it('finds the declared encoding in the first bytes of a page', function (string $bytes, ?string $encoding) {
    expect(Prescan::declaration($bytes)?->encoding)->toBe($encoding);
})->with([
    'an attribute' => ['<meta charset="iso-8859-2">', 'ISO-8859-2'],
    'without quotation marks' => ['<meta charset=koi8-r>', 'KOI8-R'],
    'in the content of another' => [
        '<meta http-equiv="Content-Type" content="text/html; charset=windows-1251">',
        'windows-1251',
    ],
    'behind a comment' => ['<!-- <meta charset="koi8-r"> --><meta charset="gbk">', 'GBK'],
    'UTF-16, which cannot be read so' => ['<meta charset="utf-16">', 'UTF-8'],
    'no such encoding' => ['<meta charset="klingon">', null],
    'none' => ['<p>charset=koi8-r</p>', null],
    'past the bytes that are looked at' => [str_repeat(' ', 1_100).'<meta charset="koi8-r">', null],
]);

it('costs little for many places of a page that is not UTF-8', function () {
    $encoding = FileEncoding::of('<meta charset="windows-1252">');
    $bytes = '<meta charset="windows-1252">'.str_repeat("caf\xe9 ", 5_000);
    $offsets = new OriginalOffsets($bytes, $encoding);
    for ($place = 0; $place < 5_000; $place++) {
        expect($offsets->of(29 + $place * 6))->toBe(29 + $place * 5);
    }
});
