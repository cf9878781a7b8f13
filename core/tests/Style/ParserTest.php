<?php

declare(strict_types=1);

use InkedMargin\Core\Style\Syntax\CssTokenizer;
use InkedMargin\Core\Style\Syntax\Parser;
use InkedMargin\Core\Tests\ProcessorTime;
use InkedMargin\Core\Tests\Style\CssText;

/** @return list<string> each token with its type and what it says */
function tokensOf(string $css): array
{
    $tokens = CssTokenizer::tokenize($css);
    $said = [];
    for ($at = 0; $at < $tokens->count; $at++) {
        $said[] = "{$tokens->type($at)?->value} {$tokens->text($at)}";
    }

    return $said;
}

// Source: CSS Syntax Level 3, section 4.3, the algorithms that are named beside each.
it('cuts text into the tokens of the standard', function (string $css, array $tokens) {
    expect(tokensOf($css))->toBe($tokens);
})->with([
    'names and escapes (4.3.7, 4.3.11)' => [
        'a-b _c --d -e \66oo \.x f\67 ',
        [
            'ident a-b', 'whitespace  ', 'ident _c', 'whitespace  ', 'ident --d', 'whitespace  ', 'ident -e',
            'whitespace  ', 'ident foo', 'whitespace  ', 'ident .x', 'whitespace  ', 'ident fg',
        ],
    ],
    'numbers (4.3.12)' => [
        '1 +1.5 -.5e3 1e3x 50% 2--x',
        [
            'number 1', 'whitespace  ', 'number +1.5', 'whitespace  ', 'number -.5e3', 'whitespace  ', 'dimension 1e3x',
            'whitespace  ', 'percentage 50%', 'whitespace  ', 'dimension 2--x',
        ],
    ],
    'a dot behind a number' => ['1.', ['number 1', 'delim .']],
    'strings (4.3.5)' => [
        "\"a\\\"b\" 'c\\\nd' 'e",
        ['string a"b', 'whitespace  ', 'string cd', 'whitespace  ', 'string e'],
    ],
    'a string that its line ends' => ["'a\nb", ['bad-string \'a', "whitespace \n", 'ident b']],
    'addresses (4.3.6)' => [
        'url( a\)b.png ) URL("x") url(a b)c',
        [
            'url a)b.png', 'whitespace  ', 'function URL', 'string x', ') )', 'whitespace  ', 'bad-url url(a b)',
            'ident c',
        ],
    ],
    'hashes and at-keywords' => [
        '#1a #-b # @media @-x @1',
        [
            'hash 1a', 'whitespace  ', 'hash -b', 'whitespace  ', 'delim #', 'whitespace  ', 'at-keyword media',
            'whitespace  ', 'at-keyword -x', 'whitespace  ', 'delim @', 'number 1',
        ],
    ],
    'comments are no tokens (4.3.2)' => ['a/* x */b/*', ['ident a', 'ident b']],
    'the marks of HTML comments' => [
        '<!-- --> <!-',
        ['CDO <!--', 'whitespace  ', 'CDC -->', 'whitespace  ', 'delim <', 'delim !', 'delim -'],
    ],
    'NUL (3.3)' => ["a\0b", ["ident a\u{FFFD}b"]],
    'an escape at the end of the file' => ['\\', ['ident ']],
]);

it('reads rules and declarations', function (string $css, array $expected) {
    expect(CssText::listed(Parser::sheet($css)->content))->toBe($expected);
})->with([
    'a rule' => ['a > b { COLOR : red ; margin:0 auto!important }', [
        ['rule', 'a > b'], ['decl', 'color', 'red', false], ['decl', 'margin', '0 auto', true], ['end'],
    ]],
    'at-rules with and without a block' => ['@import "x.css" screen; @MEDIA print { p { margin: 0 } }', [
        ['at', 'import', '"x.css" screen'], ['end'],
        ['at', 'media', 'print'], ['rule', 'p'], ['decl', 'margin', '0', false], ['end'], ['end'],
    ]],
    'nested rules, and declarations behind them' => ['a { b:hover { x: y } color: red; & c {} }', [
        ['rule', 'a'], ['rule', 'b:hover'], ['decl', 'x', 'y', false], ['end'], ['decl', 'color', 'red', false],
        ['rule', '& c'], ['end'], ['end'],
    ]],
    'custom properties hold anything' => ['a { --X: {b: c; d}; --y:; }', [
        ['rule', 'a'], ['decl', '--X', '{b: c; d}', false], ['decl', '--y', '', false], ['end'],
    ]],
    'a custom property is no rule' => ['--x:hover { a: b } c {}', [['rule', 'c'], ['end']]],
]);

it('goes on after an error where the standard does, and tells of it at its place', function (
    string $css,
    array $read,
    array $errors,
) {
    $sheet = Parser::sheet($css);
    $said = array_map(fn (array $one) => implode(' ', array_slice($one, 0, 3)), CssText::listed($sheet->content));

    expect($said)->toBe($read)->and(CssText::errors($sheet))->toBe($errors);
})->with([
    'no colon' => ['a { color red; b: c }', ['rule a', 'decl b c', 'end'], ['missing-colon: color red']],
    'no declaration at all' => ['a { *zoom: 1; b: c }', ['rule a', 'decl b c', 'end'], ['not-a-declaration: *zoom: 1']],
    'no block' => ['a { } b, c', ['rule a', 'end'], ['rule-without-block: b, c']],
    'a brace that closes nothing' => ['a { } } b { }', ['rule a', 'end', 'rule } b', 'end'], ['stray-close: }']],
    'a brace that is missing' => [
        'a { b: c d { e: f }',
        ['rule a', 'rule b: c d', 'decl e f', 'end', 'end'],
        ['unclosed-block: {'],
    ],
    'a string over a line end' => [
        "a { b: 'c\n; d: e }",
        ['rule a', "decl b 'c", 'decl d e', 'end'],
        ["unclosed-string: 'c"],
    ],
    'an address with a space' => [
        'a { b: url(c d); e: f }',
        ['rule a', 'decl b url(c d)', 'decl e f', 'end'],
        ['bad-url: url(c d)'],
    ],
    'a comment that nothing ends' => ['a { b: c } /* d { }', ['rule a', 'decl b c', 'end'], ['unclosed-comment: /*']],
]);

it('counts places in the bytes of the file around it', function () {
    $sheet = Parser::declarations('colour: réd; b:', 100);
    [$first, $second] = [...$sheet->declarations()];

    expect($first->nameSpan())->toEqual(new InkedMargin\Core\Source\Span(100, 106))
        ->and($first->valueSpan())->toEqual(new InkedMargin\Core\Source\Span(108, 112))
        ->and($second->valueSpan())->toEqual(new InkedMargin\Core\Source\Span(116, 116));
});

it('takes any bytes in time that grows with them alone', function (string $bytes) {
    // The least of five: caches are cold at first.
    $time = fn (string $css): float => min(array_map(
        fn () => ProcessorTime::of(fn () => Parser::sheet($css)),
        range(1, 5),
    ));
    $time(str_repeat($bytes, 2_000));
    $once = max(0.002, $time(str_repeat($bytes, 10_000)));

    expect($time(str_repeat($bytes, 40_000)) / $once)->toBeLessThan(16);
})->with([
    '{', '}', 'a{', 'a:b{} ', 'a{a:b{} ', '\\a', 'url(', "\"\n", '(', 'a{b:c;d', '/*', '@', '!', "\xff\0", '--x:{',
    'a{b c ',
]);
