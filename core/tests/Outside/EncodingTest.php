<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Encoding;

// References: html-encoding-sniffer 4.0.0 (npm) for which encoding a page is in, whatwg-encoding 3.1.1 (npm) for what it says;
// the TextDecoder of Node.js for the encodings that the latter lacks.

/**
 * @param  list<string>  $pages
 * @return list<array{name: string, text: string}>
 */
function referencesFor(array $pages): array
{
    $process = proc_open(['node', __DIR__.'/encodings.mjs'], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes, __DIR__.'/../../..');
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
        $encoding = Encoding::of($pages[$index]);
        $read = preg_replace('/^\x{FEFF}/u', '', $encoding->decode($pages[$index]));
        expect([$encoding->name, $read])->toBe([$name, $text], addcslashes(substr($pages[$index], 0, 120), "\0..\37\177..\377"));
    }
}

it('takes a page for the encoding that the reference takes it for', function () {
    expectTheSame([
        '<p>plain', "\xEF\xBB\xBF<meta charset=latin1>é", "\xFF\xFE<\0p\0>\0\x42\x30", "\xFE\xFF\0<\0p\0>\x30\x42",
        '<meta charset=utf-16>', '<meta charset="x-user-defined">', '<meta charset=klingon><meta charset=koi8-r>', '<META CHARSET = \'Shift_JIS\' >',
        '<!-- <meta charset=latin1> --><meta charset=latin2>', '<!--> <meta charset=latin1>', '<!doctype html><?php x ?></p><meta charset=gbk>',
        '<a title="<meta charset=latin1>"><meta/charset=big5>', '<metax charset=latin1><meta charset>', '<meta name=a content="text/html; charset=latin1">',
        '<meta content="text/html; charset=latin2" http-equiv=Content-Type>', '<meta http-equiv=content-type content="charset charset = \'euc-kr\'">',
        '<meta http-equiv=content-type content="charset=latin1" charset=latin2>', '<meta charset=latin1 charset=latin2>', '<meta charset=iso-2022-jp',
        '<meta http-equiv=content-type content="charset=\'latin1">', "<meta charset=iso-2022-jp>\e\$B\x44\x2c\x3c\x2e\e(B a", str_repeat(' ', 1020).'<meta charset=latin1>', '< meta charset=latin1>', '<meta charset=" latin1 ">',
    ]);
});

it('reads text in every encoding as the reference does', function (string $label, string $text, string $icu) {
    expectTheSame(["<meta charset=$label>".UConverter::transcode($text, $icu, 'UTF-8')]);
})->with([
    ['shift_jis', '潮汐表、①髙ｱ', 'windows-31j'], ['euc-jp', '潮汐表、ア', 'EUC-JP'],
    ['gbk', '潮汐表€', 'gb18030'], ['gb18030', '潮汐表€ḿ𠀀', 'gb18030'], ['big5', '潮汐表，點', 'ibm-1375_P100-2008'], ['euc-kr', '조석표 똠', 'windows-949-2000'],
    ['windows-1250', 'Příliš žluťoučký €', 'ibm-5346_P100-1998'], ['windows-1253', 'παλίρροια', 'ibm-5349_P100-1998'], ['iso-8859-7', 'παλίρροια €', 'ISO-8859-7'],
    ['koi8-u', 'приплив ґ', 'KOI8-U'], ['windows-874', 'น้ำขึ้น', 'windows-874'], ['macintosh', 'marée ≠', 'macintosh'], ['iso-8859-8-i', 'גאות', 'ISO-8859-8'],
    ['windows-1256', 'مد', 'ibm-9448_X100-2005'], ['windows-1258', 'thuỷ', 'ibm-5354_P100-1998'], ['ibm866', 'прилив', 'IBM866'],
]);

// The bytes that stand for no letter are left out: the standard gives them the control characters, the reference U+FFFD.
it('reads the letters of the single-byte encodings that students’ editors offer as the reference does', function (string $label, string $without = '') {
    $bytes = implode('', array_diff(array_map(chr(...), range(0x80, 0xFF)), str_split((string) hex2bin($without))));

    expectTheSame(["<meta charset=$label>$bytes"]);
})->with([
    ['windows-1252', '818d8f909d'], ['latin1', '818d8f909d'], ['latin2'], ['iso-8859-15'], ['iso-8859-16'],
    ['windows-1251', '98'], ['koi8-r'], ['windows-1254', '818d8e8f909d9e'],
]);
