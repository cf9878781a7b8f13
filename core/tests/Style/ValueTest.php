<?php

declare(strict_types=1);

use InkedMargin\Core\Style\Grammar\Reader;
use InkedMargin\Core\Style\Syntax\CssTokenizer;
use InkedMargin\Core\Style\Syntax\Parser;
use InkedMargin\Core\Style\Value\Definitions;
use InkedMargin\Core\Style\Value\Item;
use InkedMargin\Core\Style\Value\Matcher;
use InkedMargin\Core\Style\Value\ValueCheck;
use InkedMargin\Core\Tests\ProcessorTime;

function checked(string $declaration): ValueCheck
{
    return ValueCheck::of([...Parser::declarations($declaration)->declarations()][0]);
}

function fits(string $definition, string $value): bool
{
    $tokens = CssTokenizer::tokenize($value);

    return Matcher::matches(Reader::read($definition), Item::list($tokens, 0, $tokens->count));
}

it('takes what a property may hold', function (string $declaration) {
    expect(checked($declaration)->verdict->name)->toBe('Valid');
})->with([
    'color: RED', 'color: rgb(1, 2, 3)', 'color: rgb(1 2 3 / 50%)', 'color: #12345678', 'color: var(--x)',
    'color: inherit',
    'margin: 0 auto', 'margin: -1px', 'width: calc(100% - 2 * (1em + 3px))', 'width: min(100%, 40rem)',
    'line-height: 1.5',
    'font: bold 12px/1.5 Georgia, "Times New Roman", serif', 'font-family: Times New Roman, serif', 'background: none',
    'background: url(a.png) no-repeat center / cover, red', 'background-position: left 10px top 5px',
    'border: 1px solid',
    'display: inline-block', 'transform: rotate(45deg) translate(10px, 5%)', 'transition: color .3s ease-in, width 1s',
    'grid-template-columns: repeat(3, 1fr) minmax(100px, auto)', 'animation: spin 2s linear infinite',
    'list-style: square inside',
    'box-shadow: 0 1px 3px rgba(0,0,0,.2), inset 0 0 5px red', 'clip: rect(0 0 0 0)', 'content: "\25BE" attr(x)',
    'flex: 1 1 0',
    'aspect-ratio: 16 / 9', 'font-weight: 350', 'opacity: 50%', '--anything: {a b}', 'float: left', 'inset: 0',
    'gap: 1rem 2rem',
]);

it('says what of a value cannot stand where it is', function (string $declaration, ?string $wrong) {
    $check = checked($declaration);

    expect($check->verdict->name)->toBe('Invalid')->and($check->wrong?->text)->toBe($wrong);
})->with([
    ['color: #12345', '12345'], ['width: 100', '100'], ['margin: 1px 2px 3px 4px 5px', '5px'],
    ['padding: -1px', '-1px'],
    ['border: 1px sold red', 'sold'], ['text-align: centre', 'centre'], ['z-index: 1.5', '1.5'],
    ['font-family: "A" serif', 'serif'],
    ['font-size: 12', '12'], ['float: centre', 'centre'], ['width: 10 px', '10'], ['width: 10pix', '10pix'],
    ['color: red blue', 'blue'],
    ['margin: 0 auto,', ','], ['color:', null], ['font: 12px', null], ['width: calc(1s)', 'calc'],
]);

it('tells other makers’ properties and values, and names that there are not', function (string $declaration, string $verdict) {
    expect(checked($declaration)->verdict->name)->toBe($verdict);
})->with([
    ['-webkit-nothing: x', 'Vendor'], ['background: -webkit-linear-gradient(top, red, blue)', 'Vendor'],
    ['filter: alpha(opacity=50)', 'Vendor'], ['colour: red', 'UnknownProperty'], ["content: 'x\n", 'Broken'],
]);

// Source: CSS Values and Units Level 4, section 2 "Value Definition Syntax".
it('reads value definitions', function (string $definition, array $taken, array $refused) {
    $fits = fn (string $value) => fits($definition, $value);

    expect(array_filter($taken, fn ($value) => ! $fits($value)))->toBe([])
        ->and(array_filter($refused, $fits))->toBe([]);
})->with([
    'one of some' => ['a | b c', ['a', 'b c', 'A'], ['b', 'a b', '']],
    'all in any order' => ['a && b', ['a b', 'b a'], ['a', 'a a b']],
    'some in any order' => ['a || b || c', ['a', 'c a', 'b c a'], ['', 'a a']],
    'what binds more' => ['a b | c || d && e', ['a b', 'c', 'd e c', 'e d'], ['a', 'd', 'a b c']],
    'groups and how many' => ['[ a | b ]{2,3} c?', ['a b', 'b b a c'], ['a', 'a b a b']],
    'lists' => ['<integer>#{1,3}', ['1', '1, 2,3'], ['1 2', '1,', '1,2,3,4']],
    'a group that is not empty' => ['[ a? b? ]!', ['a', 'b', 'a b'], ['']],
    'ranges' => ['<length [0,10]>', ['0', '10px'], ['-1px', '11px']],
    'functions' => ['f( <number> , <number>? )', ['f(1,2)', 'F(1)'], ['f(1 2)', 'f(1,)', 'g(1,2)']],
    'commas of what is left out' => ['a? , b? , c', ['a, b, c', 'b, c', 'a, c', 'c'], ['a,, c', ', c', 'a b c']],
    'other properties' => ["<'margin-top'>{1,2}", ['auto 1px'], ['red']],
]);

it('knows of every property what it may hold, whether it is inherited, and what it sets', function () {
    $unread = array_filter(
        Definitions::names(),
        fn (string $name) => Definitions::ofProperty($name) === null && ! str_starts_with($name, '-'),
    );

    expect(array_values($unread))->toBe([])->and(Definitions::names())->toContain('color', 'margin', 'grid-area')
        ->and(Definitions::isInherited('color'))->toBeTrue()->and(Definitions::isInherited('margin'))->toBeFalse()
        ->and(Definitions::longhands('margin'))->toBe(['margin-top', 'margin-right', 'margin-bottom', 'margin-left'])
        ->and(Definitions::longhands('color'))->toBe(['color'])->and(Definitions::longhands('border'))->toContain('border-top-color');
});

it('takes no long time for any value', function (string $declaration) {
    expect(ProcessorTime::of(fn () => checked($declaration)))->toBeLessThan(2.0);
})->with([
    'many fonts' => ['font: '.str_repeat('a, ', 3000).'b'],
    'many backgrounds' => ['background: '.str_repeat('url(a) red 0 0, ', 500).'x'],
    'brackets in brackets' => ['width: '.str_repeat('calc(', 3000).'1px'.str_repeat(')', 3000)],
    'all variants of a font' => ['font-variant: '.str_repeat('small-caps tabular-nums ', 400)],
    'a grid' => ['grid-template-columns: '.str_repeat('[a] 1fr ', 1500)],
]);
