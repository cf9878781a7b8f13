<?php

declare(strict_types=1);

use InkedMargin\Core\Markup\Prescan;

// HTML Standard, 13.2.3.2, "prescan a byte stream to determine its encoding": the cases follow its steps one by one. No
// table of
// examples is published with it.

it('finds the encoding that a page declares', function (string $bytes, ?string $label) {
    expect(Prescan::declaration($bytes)?->label)->toBe($label);
})->with([
    'by charset' => ['<meta charset="utf-8">', 'utf-8'],
    'without quotes' => ['<meta charset=utf-8>', 'utf-8'],
    'in single quotes' => ["<meta charset='windows-1252'>", 'windows-1252'],
    'in capitals' => ['<META CHARSET="UTF-8">', 'UTF-8'],
    'closed as XML' => ['<meta charset="utf-8"/>', 'utf-8'],
    'after other attributes' => ['<meta name="x" charset="koi8-r">', 'koi8-r'],
    'by http-equiv' => ['<meta http-equiv="Content-Type" content="text/html; charset=iso-8859-1">', 'iso-8859-1'],
    'by http-equiv, content first' => ['<meta content="text/html;charset=big5" http-equiv="content-type">', 'big5'],
    'content alone says nothing' => ['<meta content="text/html; charset=big5">', null],
    'another http-equiv says nothing' => ['<meta http-equiv="refresh" content="1; charset=big5">', null],
    'behind a comment' => ["<!-- <meta charset=big5> -->\n<meta charset=utf-8>", 'utf-8'],
    'behind a comment of two dashes' => ['<!--><meta charset=utf-8>', 'utf-8'],
    'behind other tags' => ['<!DOCTYPE html><html lang="en"><head><meta charset="utf-8">', 'utf-8'],
    'behind an end tag' => ['</p><meta charset=utf-8>', 'utf-8'],
    'behind a processing instruction' => ['<?x ?><meta charset=utf-8>', 'utf-8'],
    'in an attribute of another element it is none' => ['<p title="<meta charset=big5>"><meta charset=utf-8>', 'utf-8'],
    'the first that can be used' => ['<meta charset="none such"><meta charset="utf-8">', 'utf-8'],
    'a page that declares none' => ['<!DOCTYPE html><title>Ebb</title>', null],
    'an empty page' => ['', null],
    'a tag that never ends' => ['<meta charset="utf-8', null],
    'text only' => ['charset="utf-8"', null],
]);

it('looks at the first 1024 bytes only', function () {
    $meta = '<meta charset="koi8-r">';

    expect(Prescan::declaration(str_repeat(' ', Prescan::BYTES - strlen($meta)).$meta)?->label)->toBe('koi8-r')
        ->and(Prescan::declaration(str_repeat(' ', Prescan::BYTES).$meta))->toBeNull();
});
