<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\FileEncoding;
use InkedMargin\Core\Markup\TreeConstruction\MarkupReader;
use InkedMargin\Core\Source\SourceFile;

// References: html-encoding-sniffer 4.0.0 (npm) for which encoding a page is in, whatwg-encoding 3.1.1 (npm) for what
// it says;
// the TextDecoder of Node.js for the encodings that the latter lacks.

/**
 * @param  list<string>  $pages
 * @return list<array{name: string, text: string}>
 */
function referencesFor(array $pages): array
{
    $process = proc_open(
        ['node', __DIR__.'/encodings.mjs'],
        [['pipe', 'r'], ['pipe', 'w'], STDERR],
        $pipes,
        __DIR__.'/../../..',
    );
    fwrite($pipes[0], json_encode(array_map(base64_encode(...), $pages), JSON_THROW_ON_ERROR));
    fclose($pipes[0]);
    $out = (string) stream_get_contents($pipes[1]);
    proc_close($process);

    return json_decode($out, true, flags: JSON_THROW_ON_ERROR);
}

/** @param  list<string>  $pages */
function expectTheSame(array $pages): void
{
    foreach (referencesFor($pages) as $index => ['name' => $name, 'text' => $text]) {
        $encoding = FileEncoding::of($pages[$index]);
        $read = preg_replace('/^\x{FEFF}/u', '', $encoding->decode($pages[$index]));
        expect([$encoding->name, $read])->toBe(
            [$name, $text],
            addcslashes(substr($pages[$index], 0, 120), "\0..\37\177..\377"),
        );
    }
}

it('takes a page for the encoding that the reference takes it for', function () {
    expectTheSame([
        '<p>plain', "\xEF\xBB\xBF<meta charset=latin1>é", "\xFF\xFE<\0p\0>\0\x42\x30", "\xFE\xFF\0<\0p\0>\x30\x42",
        '<meta charset=utf-16>', '<meta charset="x-user-defined">', '<meta charset=klingon><meta charset=koi8-r>',
        '<META CHARSET = \'Shift_JIS\' >',
        '<!-- <meta charset=latin1> --><meta charset=latin2>', '<!--> <meta charset=latin1>',
        '<!doctype html><?php x ?></p><meta charset=gbk>',
        '<a title="<meta charset=latin1>"><meta/charset=big5>', '<metax charset=latin1><meta charset>',
        '<meta name=a content="text/html; charset=latin1">',
        '<meta content="text/html; charset=latin2" http-equiv=Content-Type>',
        '<meta http-equiv=content-type content="charset charset = \'euc-kr\'">',
        '<meta http-equiv=content-type content="charset=latin1" charset=latin2>',
        '<meta charset=latin1 charset=latin2>', '<meta charset=iso-2022-jp',
        '<meta http-equiv=content-type content="charset=\'latin1">',
        "<meta charset=iso-2022-jp>\e\$B\x44\x2c\x3c\x2e\e(B a",
        str_repeat(' ', 1020)
            .'<meta charset=latin1>', '< meta charset=latin1>', '<meta charset=" latin1 ">',
    ]);
});

it('reads text in every encoding as the reference does', function (string $label, string $text, string $icu) {
    expectTheSame(["<meta charset=$label>".UConverter::transcode($text, $icu, 'UTF-8')]);
})->with([
    ['shift_jis', '潮汐表、①髙ｱ', 'windows-31j'],
    ['euc-jp', '潮汐表、ア', 'EUC-JP'],
    ['gbk', '潮汐表€', 'gb18030'],
    ['gb18030', '潮汐表€ḿ𠀀', 'gb18030'],
    ['big5', '潮汐表，點', 'ibm-1375_P100-2008'],
    ['euc-kr', '조석표 똠', 'windows-949-2000'],
    ['windows-1250', 'Příliš žluťoučký €', 'ibm-5346_P100-1998'],
    ['windows-1253', 'παλίρροια', 'ibm-5349_P100-1998'],
    ['iso-8859-7', 'παλίρροια €', 'ISO-8859-7'],
    ['koi8-u', 'приплив ґ', 'KOI8-U'],
    ['windows-874', 'น้ำขึ้น', 'windows-874'],
    ['macintosh', 'marée ≠', 'macintosh'],
    ['iso-8859-8-i', 'גאות', 'ISO-8859-8'],
    ['windows-1256', 'مد', 'ibm-9448_X100-2005'],
    ['windows-1258', 'thuỷ', 'ibm-5354_P100-1998'],
    ['ibm866', 'прилив', 'IBM866'],
]);

// The bytes that stand for no letter are left out: the standard gives them the control characters, the reference
// U+FFFD.
it('reads the letters of the single-byte encodings that students’ editors offer as the reference does', function (
    string $label,
    string $without = '',
) {
    $bytes = implode('', array_diff(array_map(chr(...), range(0x80, 0xFF)), str_split((string) hex2bin($without))));

    expectTheSame(["<meta charset=$label>$bytes"]);
})->with([
    ['windows-1252', '818d8f909d'],
    ['latin1', '818d8f909d'],
    ['latin2'],
    ['iso-8859-15'],
    ['iso-8859-16'],
    ['windows-1251', '98'],
    ['koi8-r'],
    ['windows-1254', '818d8e8f909d9e'],
]);

// What is checked against is the file itself: at the offset there stand the bytes that the encoding has for what stands
// there.
it('says where in the file a place of the page is, whatever its encoding', function (
    string $label,
    string $icu,
    string $letters,
) {
    $page = "<!DOCTYPE html><meta charset=$label>".str_repeat(
        "<p>$letters<b>$letters</b></p>\n",
        200,
    ).str_repeat("$letters<i>$letters</i>", 200);
    // ICU has several of this name, mbstring one.
    $encode = fn (string $text) => $icu === 'ISO-2022-JP'
        ? mb_convert_encoding($text, $icu, 'UTF-8')
        : UConverter::transcode($text, $icu, 'UTF-8');
    $bytes = ($label === 'utf-16le' ? "\xFF\xFE" : '').$encode($page);
    $document = MarkupReader::read(new SourceFile('page.html', $bytes));
    $seen = 0;
    foreach ($document->elements() as $element) {
        if ($element->is('b') || $element->is('i')) {
            $seen++;
            $tag = $encode("<$element->name>$letters");
            $tag = $label === 'iso-2022-jp' ? "<$element->name>" : $tag;
            expect(
                substr($bytes, $document->source->position($element->place()->start)->offset, strlen($tag)),
            )->toBe($tag);
        }
    }
    expect($seen)->toBe(400);
})->with([
    ['shift_jis', 'windows-31j', '潮汐表ｱ'],
    ['gb18030', 'gb18030', '潮汐€𠀀'],
    ['euc-jp', 'EUC-JP', '潮汐'],
    ['big5', 'ibm-1375_P100-2008', '潮汐'],
    ['windows-1252', 'ibm-5348_P100-1997', 'café €'],
    ['utf-16le', 'UTF-16LE', '潮é𠀀'],
    ['iso-2022-jp', 'ISO-2022-JP', '潮汐'],
    ['utf-8', 'UTF-8', 'plain'],
]);

it('says where in the file a place is behind bytes that are no UTF-8', function () {
    $bytes = str_repeat("<p>caf\xe9 \xe2\x82 \u{FFFD}</p>", 500).'<b>';
    $document = MarkupReader::read(new SourceFile('page.html', $bytes));

    expect($document->source->position($document->first('b')?->place()->start ?? 0)->offset)->toBe(strlen($bytes) - 3);
});
