<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\Brief;
use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\Kinds;
use InkedMargin\Core\Brief\Requirement\Assessment;
use InkedMargin\Core\Brief\Requirement\Award;
use InkedMargin\Core\Brief\Requirement\Bounds;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Field;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Glob;
use InkedMargin\Core\Brief\Requirement\NamePattern;
use InkedMargin\Core\Brief\Requirement\Problems;
use InkedMargin\Core\Brief\Requirement\Shortfall;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Brief\Schema;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Source\Span;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

it(
    'matches names with stars',
    fn (string $glob, string $path, bool $matches) => expect(Glob::matches($glob, $path))->toBe($matches),
)->with([
    ['index.html', 'index.html', true],
    ['index.html', 'a/index.html', false],
    ['*.html', 'a.html', true],
    ['*.html', 'a/b.html', false],
    ['**/*.html', 'a/b/c.html', true],
    ['**/*.html', 'c.html', true],
    ['img/**', 'img/a/b.png', true],
    ['a?.html', 'ab.html', true],
    ['a?.html', 'a/.html', false],
    ['a.html', 'aXhtml', false],
    ['[a].html', '[a].html', true],
    ['*', '', true],
]);

it(
    'matches names of archives and folders for a student',
    fn (
        string $pattern,
        string $name,
        ?string $handle,
        bool $matches,
    ) => expect((new NamePattern($pattern))->matches($name, $handle))->toBe($matches),
)->with([
    ['{student.handle}.zip', 'avasey.zip', 'avasey', true],
    ['{student.handle}.zip', 'bmoor.zip', 'avasey', false],
    ['{student.handle}.zip', 'anybody.zip', null, true],
    ['{student.handle}_*', 'avasey_site', 'avasey', true],
    ['{student.handle}.zip', 'a+b.zip', 'a+b', true],
    ['site', 'site', null, true],
    ['si.e', 'site', null, false],
]);

it('gives points for the share that is met, for all of it, or by how many things are wrong', function (string $credit, int $wrong, float $points) {
    $terms = BriefReader::read(
        "title: T\nrequirements: [{id: it, kind: titles, title: It, $credit}]",
    )->requirements[0]->terms;
    $shortfalls = array_map(
        fn (int $nth) => Shortfall::of(Draft::in('index.html', null, Span::at(0), '')->says('Words.'))
            ->item("page $nth"),
        $wrong === 0 ? [] : range(1, $wrong),
    );

    $assessment = Assessment::of(4, $shortfalls, '', '');
    $worked = Award::of($terms, $assessment)->worked($assessment->losses());

    expect($worked->points)->toBe($points)
        ->and($terms->points)->toBe(10.0)
        ->and($worked->how)->not->toBe('')
        ->and(round(array_sum($worked->costs), 2))->toBe(10.0 - $points);
})->with([
    ['points: 10', 0, 10.0],
    ['points: 10', 1, 7.5],
    ['points: 10, credit: all', 0, 10.0],
    ['points: 10, credit: all', 1, 0.0],
    ['steps: {0: 10, 2: 6}', 0, 10.0],
    ['steps: {0: 10, 2: 6}', 1, 6.0],
    ['steps: {0: 10, 2: 6}', 2, 6.0],
    ['steps: {0: 10, 2: 6}, credit: steps', 3, 0.0],
]);

it('refuses steps that are none', function (string $fields, string $problem) {
    expect(fn () => BriefReader::read("title: T\nrequirements: [{id: it, kind: titles, title: It, $fields}]"))
        ->toThrow(BriefError::class, $problem);
})->with([
    ['steps: 10', 'such as {0: 10, 2: 6}'],
    ['steps: {1: 10}', 'such as {0: 10, 2: 6}'],
    ['steps: {0: 6, 2: 10}', 'such as {0: 10, 2: 6}'],
    ['steps: {0: -1}', 'such as {0: 10, 2: 6}'],
    ['steps: {0: .nan}', 'such as {0: 10, 2: 6}'],
    ['steps: {0: 10}, points: 5', 'the steps give 10 at most'],
    ['steps: {0: 10}, credit: share', 'they are for credit by steps'],
    ['credit: steps, points: 4', 'credit by steps needs them'],
]);

it('says how many of something there may be', function (
    ?int $exactly,
    ?int $atLeast,
    ?int $atMost,
    string $sentence,
    array $allowed,
) {
    $bounds = new Bounds($exactly, $atLeast, $atMost);

    expect($bounds->sentence())->toBe($sentence)
        ->and(array_values(array_filter(range(0, 5), $bounds->allow(...))))->toBe($allowed);
})->with([
    [2, null, null, 'exactly 2', [2]],
    [null, 2, null, 'at least 2', [2, 3, 4, 5]],
    [null, null, 1, 'at most 1', [0, 1]],
    [null, 2, 3, '2 to 3', [2, 3]],
    [0, null, null, 'none', [0]],
    [null, 3, 3, 'exactly 3', [3]],
]);

it('refuses a value that a field does not take, in words', function (Field $field, mixed $value, ?string $objection) {
    expect($field->objection($value))->toBe($objection);
})->with([
    'text' => [Field::text('a', ''), 'x', null],
    'a number as text' => [Field::text('a', ''), 7, null],
    'a list as text' => [Field::text('a', ''), ['x'], 'text was expected'],
    'the handle of a student' => [
        Field::text('a', ''),
        'For {student.handle}',
        'only a requirement of kind "names" knows the student',
    ],
    'the handle where it stands for something' => [Field::namePattern('a', ''), '{student.handle}.zip', null],
    'a control character' => [Field::text('a', ''), "a\x01", 'this text has a control character in it'],
    'half a letter' => [Field::text('a', ''), "\xed\xa0\x80", 'this text is not valid Unicode'],
    'too long a text' => [Field::text('a', '', false, 3), 'abcd', 'this text is longer than 3 characters'],
    'an empty text that has to be there' => [Field::text('a', '', true), ' ', 'is missing'],
    'a list of texts' => [Field::texts('a', ''), ['x', 'y'], null],
    'a list with a number in it' => [Field::texts('a', ''), ['x', 7], 'a list of texts was expected'],
    'a word that is none of those' => [Field::texts('a', '', choices: ['b', 'c']), ['d'], '"d" is not one of b, c'],
    'a number' => [Field::number('a', '', 10), 2.5, null],
    'infinity' => [Field::number('a', '', 10), INF, 'a number from 0 to 10 was expected'],
    'too large a number' => [Field::number('a', '', 10), 1e12, 'a number from 0 to 10 was expected'],
    'half of a whole number' => [Field::wholeNumber('a', ''), 1.5, 'a whole number from 0 to 100000 was expected'],
    'less than nothing' => [Field::wholeNumber('a', ''), -1, 'a whole number from 0 to 100000 was expected'],
    'a flag' => [Field::flag('a', ''), true, null],
    'no flag' => [Field::flag('a', ''), 'perhaps', 'yes or no (true or false) was expected'],
    'a choice' => [Field::choice('a', '', ['b']), 'c', 'one of b was expected'],
]);

it('gives defaults for what was not given, and for what was wrong', function () {
    $problems = new Problems([]);
    $fields = new Fields(
        ['text' => ['x'], 'flag' => true],
        [Field::text('text', ''), Field::flag('flag', ''), Field::wholeNumber('number', ''), Field::texts('texts', '')],
        '',
        $problems,
    );

    expect([
        $fields->text('text', 'd'),
        $fields->flag('flag', false),
        $fields->wholeNumber('number'),
        $fields->texts('texts'),
        $fields->optionalText('text'),
    ])
        ->toBe(['d', true, null, [], null])
        ->and($problems->all())->toBe(['text: text was expected']);
});

it('takes a field that was read and never declared for a mistake of the program', function () {
    (new Fields([], [], '', new Problems([])))->text('none');
})->throws(LogicException::class);

it('reads no field that its kind does not declare, and each that it does', function (string $kind) {
    $declared = [...Terms::fields(), ...$kind::fields()];
    $fields = new Fields([], $declared, '', new Problems([]));

    expect($kind::read(Terms::read($fields), $fields))->toBeInstanceOf($kind)
        ->and(array_unique(array_map(fn (Field $field) => $field->name, $declared)))->toHaveCount(count($declared));
})->with(array_map(fn (string $kind) => [$kind], Kinds::ALL));

it('refuses a brief that would break what comes after it', function (string $source, string $problem) {
    expect(fn () => BriefReader::read($source))->toThrow(BriefError::class, $problem);
})->with([
    'endless points' => [
        "title: T\nrequirements:\n  - {id: a, title: A, kind: titles, points: .inf}",
        'line 3, column 37: requirement "a", points: a number from 0 to 10000',
    ],
    'half a letter' => ["title: \"\\ud800\"\nrequirements:\n  - {id: a, title: A, kind: titles}", 'not valid Unicode'],
    'NUL' => [
        "title: a\0b\nrequirements:\n  - {id: a, title: A, kind: titles}",
        'line 1: there is a control character here',
    ],
    'no UTF-8' => ["title: \xff", 'not valid UTF-8'],
    'choices without end' => [
        "title: T\nrequirements:\n  - {id: a, title: A, kind: navigation, pattern: branching, choices: 99999999}",
        'a whole number from 1 to 50',
    ],
    'an id with a slash' => [
        "title: T\nrequirements:\n  - {id: a/b, title: A, kind: titles}",
        'characters other than letters',
    ],
    'an id of many letters' => [
        "title: T\nrequirements:\n  - {id: ".str_repeat('a', 300).', title: A, kind: titles}',
        'longer than 60 characters',
    ],
    'a title of many letters' => [
        'title: '.str_repeat('a', 500)."\nrequirements:\n  - {id: a, title: A, kind: titles}",
        'longer than 200 characters',
    ],
    'more points than a mark holds' => [
        "title: T\nrequirements:\n  - {id: a, title: A, kind: titles, points: 1.0e+12}",
        'points: a number from 0',
    ],
    'bounds that nothing fits' => [
        "title: T\nrequirements:\n  - {id: a, title: A, kind: count, selector: p, at_least: 3, at_most: 2}",
        'no number can be',
    ],
    'too much of it' => [str_repeat('#', 600_000), 'bytes at most'],
    'a kind that is misspelt' => [
        "title: T\nrequirements:\n  - {id: a, title: A, kind: title}",
        'did you mean "titles"?',
    ],
    'ignored, and no list' => [
        "title: T\nignore: markup\nrequirements:\n  - {id: a, title: A, kind: titles}",
        'ignore: a list of rules was expected',
    ],
]);

it('names the line of a problem also in JSON, and where the id is not first', function () {
    $json = "{\n \"title\": \"T\",\n \"requirements\": [\n  {\"kind\": \"titles\", \"id\": \"a\", \"title\": \"A\"},\n  {\"kind\": \"titles\",\n   \"points\": -1,\n   \"id\": \"b\", \"title\": \"B\"}\n ]\n}";

    expect(fn () => BriefReader::read($json))->toThrow(BriefError::class, 'line 6, column 5: requirement "b", points');
});

it('publishes a schema that the briefs of the demo keep to, and wrong ones do not', function () {
    $schema = json_decode(Schema::render());
    $isValid = fn (string $source) => (new Validator)->validate(
        json_decode((string) json_encode(Yaml::parse($source))),
        $schema,
    )->isValid();
    foreach (glob(__DIR__.'/../../../demo/briefs/*.yaml') ?: [] as $file) {
        expect($isValid((string) file_get_contents($file)))->toBeTrue($file);
    }

    expect($isValid("title: T\nrequirements:\n  - {id: a, title: A, kind: titles, patern: x}"))->toBeFalse()
        ->and($isValid("title: T\nrequirements:\n  - {id: a, title: A, kind: titles, points: -1}"))->toBeFalse()
        ->and($isValid('title: T'))->toBeFalse();
});

it(
    'knows what a brief of none asks: nothing',
    fn () => expect(Brief::none()->requirements)->toBe([])->and(Brief::none()->points())->toBe(0.0),
);
