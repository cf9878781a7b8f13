<?php

declare(strict_types=1);

use InkedMargin\Core\Tests\Command\RunMargin;
use InkedMargin\Core\Tests\Samples;

it('leaves with 0 for a clean site, 1 for a finding that matters, 2 when it cannot be read', function (
    Closure $arguments,
    int $code,
    string $said,
) {
    [$left, $out, $errors] = RunMargin::with('', ...$arguments());

    expect($left)->toBe($code)->and($out.$errors)->toContain($said)
        ->and($code === 2 ? $out : $errors)->toBe('');
})->with([
    'clean' => [
        fn () => ['check', Samples::zip(['index.html' => Samples::page()])],
        0,
        '1 page, 0 faults, 0 departures, 0 tidy',
    ],
    'a fault' => [
        fn () => ['check', Samples::zip(['index.html' => Samples::page('<img src="index.html">')])],
        1,
        'markup/missing-alt',
    ],
    'nothing there' => [fn () => ['check', '/nowhere/at/all'], 2, 'There is no file or folder "/nowhere/at/all"'],
    'not a zip' => [fn () => ['check', __FILE__], 2, 'is not a zip archive'],
    'no path' => [fn () => ['check'], 2, 'takes one folder or zip'],
    'an unknown format' => [fn () => ['check', __FILE__, '--format=xml'], 2, 'There is no format "xml"'],
    'an unknown option' => [fn () => ['check', __FILE__, '--loud=1'], 2, 'has no option --loud'],
    'an unknown command' => [fn () => ['mark'], 2, 'There is no command "mark"'],
    'a brief that cannot be used' => [fn () => ['check', __DIR__, '--brief', __FILE__], 2, 'The brief cannot be used'],
]);

it('says what each command takes', function (array $arguments, string $said) {
    [$code, $out, $errors] = RunMargin::with('', ...$arguments);

    expect([$code, $errors])->toBe([0, ''])->and($out)->toContain($said);
})->with([
    'all of them' => [['--help'], 'Usage: margin COMMAND'],
    'nothing asked' => [[], 'Usage: margin COMMAND'],
    'checking' => [['check', '--help'], '--weights LIST'],
    'parsing' => [['parse', '--help'], 'Usage: margin parse'],
    'the map' => [['map', '--help'], 'Usage: margin map'],
    'the rules' => [['rules', '--help'], 'Usage: margin rules'],
    'one rule' => [['explain', '--help'], 'Usage: margin explain'],
    'the brief' => [['schema', '--help'], 'Usage: margin schema'],
]);

it('says first what was found, then the findings by weight and place, with what to type', function () {
    $zip = Samples::zip(['index.html' => Samples::page("<p>a</i></p>\n<center>x</center>\n<p>b</p>")]);
    [, $out] = RunMargin::with('', 'check', $zip);
    $lines = explode("\n", $out);

    expect($lines[0])->toStartWith(basename($zip))->toContain('1 page, 1 fault, 1 departure, 0 tidy')
        ->and(
            array_values(array_filter($lines, fn (string $line) => preg_match('/^\d/', $line) === 1)),
        )->toBe(['1 fault', '1 departure'])
        ->and($lines)->toContain(
            '  index.html:8:5  markup/stray-end-tag',
            '      Remove it, or add the `<i>` that it belongs to.',
        );
});

it('prints only the weights that are asked for, and leaves with what these say', function (
    string $weights,
    int $code,
    string $shown,
    string $hidden,
) {
    $zip = Samples::zip(['index.html' => Samples::page('<center>x</center><img src="a.png">')]);
    [$left, $out] = RunMargin::with('', 'check', $zip, "--weights=$weights");

    expect($left)->toBe($code)->and($out)->toContain($shown)->not->toContain($hidden);
})->with([
    'faults' => ['fault', 1, 'link/missing-file', 'markup/obsolete-element'],
    'departures' => ['departure', 1, 'markup/obsolete-element', 'link/missing-file'],
    'two of them' => ['fault,departure', 1, 'markup/obsolete-element', 'markup/indentation'],
]);

it('refuses a weight that there is not', function () {
    $site = Samples::zip(['index.html' => Samples::page()]);
    [$code, $out, $errors] = RunMargin::with('', 'check', $site, '--weights=heavy');

    expect([$code, $out])->toBe([2, ''])->and($errors)->toContain('heavy');
});

it('puts the student’s own handle into names that ask for it', function () {
    $zip = Samples::zip(['mira.html' => Samples::page()]);
    file_put_contents(
        $brief = (string) tempnam(sys_get_temp_dir(), 'brief'),
        "title: T\nrequirements:\n  - {id: f, kind: names, title: Names, points: 2, files: '{student.handle}.html'}",
    );
    [, $with] = RunMargin::with('', 'check', $zip, "--brief=$brief", '--handle=mira');
    [, $other] = RunMargin::with('', 'check', $zip, "--brief=$brief", '--handle=imre');
    [, $without] = RunMargin::with('', 'check', $zip, "--brief=$brief");

    expect($with)->toContain('2 of 2 points')
        ->and($other)->toContain('imre.html')->toContain('0 of 2 points')
        ->and($without)->not->toContain('{student');
});

it('explains a rule with its examples, and offers the list for a name that is none', function () {
    expect(RunMargin::with('', 'explain', 'link/missing-file')[1])->toStartWith('### Link to missing file')
        ->toContain('`link/missing-file`')->toContain('````html')
        ->and(RunMargin::with('', 'explain', 'link/misssing'))
        ->toBe([2, '', "There is no rule \"link/misssing\". \"margin rules\" lists them.\n"]);
});

it('prints the format of a brief as a JSON Schema, and as the tables in docs', function () {
    $schema = json_decode(RunMargin::with('', 'schema')[1], true, flags: JSON_THROW_ON_ERROR);

    expect($schema['required'])->toBe(['title', 'requirements'])
        ->and(RunMargin::with('', 'schema', '--format=markdown')[1])->toBe(
            file_get_contents(__DIR__.'/../../../docs/brief-fields.md'),
        );
});

it('writes the fixed form of JSON, the same bytes every time', function () {
    $zip = Samples::zip([
        'index.html' => Samples::page('<img src="a.png">é<a href="b.html">b</a>'),
        'b.html' => Samples::page('<a href="index.html">a</a>'),
    ]);
    file_put_contents(
        $brief = (string) tempnam(sys_get_temp_dir(), 'brief'),
        "title: T\nrequirements:\n  - {id: t, kind: titles, title: Titles, points: 3}",
    );
    [, $once] = RunMargin::with('', 'check', $zip, '--format=json', "--brief=$brief");
    [, $again] = RunMargin::with('', 'check', $zip, '--format', 'json', '--brief', $brief);
    $report = json_decode($once, true, flags: JSON_THROW_ON_ERROR);

    expect($again)->toBe($once)
        ->and(array_keys($report))->toBe(['tool', 'site', 'findings', 'requirements', 'score'])
        ->and(array_keys($report['tool']))->toBe(['name', 'version'])
        ->and($report['site'])->toBe(['name' => basename($zip), 'files' => 2, 'pages' => 2])
        ->and(
            array_keys($report['findings'][0]),
        )->toBe([
            'rule', 'variant', 'weight', 'mark', 'file', 'start', 'end', 'message', 'remedy', 'related', 'mend',
            'requirement', 'fingerprint', 'cost',
        ])
        ->and(
            array_column($report['findings'], 'rule'),
        )->toBe(['content/same-title', 'markup/missing-alt', 'link/missing-file'])
        ->and($report['findings'][0]['related'][0]['start'])->toBe(['line' => 5, 'column' => 1, 'offset' => 63])
        ->and($report['findings'][0]['requirement'])->toBe('t')
        ->and(array_diff_key($report['requirements'][0], ['shortfalls' => 0]))->toBe([
            'id' => 't', 'title' => 'Titles', 'outcome' => 'partly', 'measured' => '1 of 2 pages',
            'expected' => 'every page has a title, and no two titles are the same',
            'points' => ['awarded' => 1.5, 'possible' => 3, 'how' => '50 % of 3'],
            'findings' => [$report['findings'][0]['fingerprint']],
        ])
        ->and(array_column($report['requirements'][0]['shortfalls'], 'variant', 'file'))->toBe(['b.html' => 'repeated'])
        ->and($report['score'])->toMatchArray(['awarded' => 1.5, 'possible' => 3]);
});

it('parses files named as operands and on standard input, one JSON object a line', function () {
    [$one, $two] = [(string) tempnam(sys_get_temp_dir(), 'one'), (string) tempnam(sys_get_temp_dir(), 'two')];
    file_put_contents($one, '<!DOCTYPE html><html><head></head><body><p id=a>x</p></body></html>');
    file_put_contents($two, '<p>');
    [$code, $out] = RunMargin::with("$two\n", 'parse', '--files-from=-', $one);
    $lines = array_map(
        fn (string $line) => json_decode($line, true, flags: JSON_THROW_ON_ERROR),
        explode("\n", rtrim($out)),
    );

    expect($code)->toBe(0)
        ->and(array_column($lines, 'file'))->toBe([$one, $two])
        ->and(array_keys($lines[0]))->toBe(['file', 'tree', 'errors', 'mode'])
        ->and($lines[0]['tree'])->toBe(
            "| <!DOCTYPE html>\n| <html>\n|   <head>\n|   <body>\n|     <p>\n|       id=\"a\"\n|       \"x\"",
        );
});

it(
    'prints the catalogue that stands in docs',
    fn () => expect(RunMargin::with('', 'rules')[1])->toBe(file_get_contents(__DIR__.'/../../../docs/rules.md')),
);
