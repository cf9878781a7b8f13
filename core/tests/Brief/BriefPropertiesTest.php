<?php

declare(strict_types=1);

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Schema;
use InkedMargin\Core\Marking\OutcomeKind;
use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Tests\ProcessorTime;
use InkedMargin\Core\Tests\Samples;
use InkedMargin\Core\Tests\Seed;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

/**
 * What the reader knows of fields together, of selectors, patterns, names and ids: more than a schema can say. Each is
 * a problem in its words.
 */
const BEYOND_THE_SCHEMA = '/needed|no selector|cannot|no number can|another requirement|no regular expression|steps|character|for counting'
    .'|selector: is missing|different words|only copy|neither a selector|only a requirement|has a name|list of parts|each as|no rule|There is no `|takes|longer than|there are only/';

/** @return list<array<string, mixed>> the requirements of all examples of rules */
function exampleRequirements(): array
{
    static $all = [];
    foreach ($all === [] ? Catalogue::rules() : [] as $rule) {
        foreach ($rule->examples() as $example) {
            if ($example->requirement !== []) {
                $all[] = ['id' => 'it', 'title' => 'It', ...$example->requirement];
            }
        }
    }

    return $all;
}

/** @return array<string, mixed> a brief of some of them, with terms that chance gives */
function inventedBrief(Seed $seed): array
{
    $requirements = [];
    for ($i = $seed->number(1, 8); $i > 0; $i--) {
        $requirement = ['id' => "r$i"] + $seed->oneOf(exampleRequirements());
        $terms = [
            'points' => $seed->oneOf([0, 0.5, 3, 10_000]),
            'credit' => $seed->oneOf(['all', 'share']),
            'weight' => $seed->oneOf(['fault', 'tidy']),
            'message' => $seed->oneOf(
                ['yes', '12', '#5 is: "wrong"', "two\nlines", '*anchor & <b>', 'Überfahrt – „so“', "it's: - a"],
            ),
            'pages' => $seed->oneOf(['all', 'home', ['index.html', 'a/*.html'], ['not' => ['reference*', 'on']]]),
        ];
        $requirements[] = $requirement + array_filter($terms, fn () => $seed->chance(50));
    }
    $marking = array_filter(
        ['off_per_fault' => 0.25, 'most_off' => 3, 'grace' => 15, 'round_to' => 0.5],
        fn () => $seed->chance(40),
    );

    return ['title' => $seed->oneOf(['T', 'on', '007', 'A: b'])] + ($marking === [] ? [] : ['marking' => $marking])
        + ['requirements' => $requirements] + ($seed->chance(30) ? [
            'ignore' => ['nav', ['rules' => ['link/empty'], 'pages' => 'home']],
        ] : []);
}

it('writes every brief so that it is read as the same again', function () {
    $seed = Seed::fresh();
    for ($trial = 0; $trial < 200; $trial++) {
        $brief = BriefReader::read(Yaml::dump(inventedBrief($seed), 4));
        $yaml = BriefWriter::yaml($brief);

        expect(BriefReader::read($yaml))->toEqual($brief, "seed $seed->value\n$yaml")
            ->and(BriefReader::read(BriefWriter::json($brief)))->toEqual($brief, "seed $seed->value")
            ->and(BriefWriter::yaml(BriefReader::read($yaml)))->toBe($yaml);
    }
});

it('accepts what the schema accepts, and refuses what it refuses', function () {
    $seed = Seed::fresh();
    $schema = json_decode(Schema::render());
    $counts = [0, 0];
    for ($trial = 0; $trial < 600; $trial++) {
        $values = inventedBrief($seed);
        $at = $seed->number(0, count($values['requirements']) - 1);
        $fields = array_keys($values['requirements'][$at]);
        $field = $seed->oneOf([...$fields, 'titel', 'points', 'steps', 'exactly', 'pages', 'weight']);
        if ($seed->chance(20)) {
            unset($values['requirements'][$at][$field]);
        } elseif ($seed->chance(85)) {
            $values['requirements'][$at][$field] = $seed->oneOf([
                -1, 7, 2.5, 10_001, true, '', 'text', [], ['a', 'b'], ['a' => 1], [['deep' => []]], [0 => 10, 2 => 6],
                str_repeat('long ', 500),
            ]);
        }
        $isValid = (new Validator)->validate(json_decode((string) json_encode($values)), $schema)->isValid();
        try {
            BriefReader::read(json_encode($values, JSON_THROW_ON_ERROR));
            $problems = [];
        } catch (BriefError $error) {
            $problems = $error->problems;
        }
        $known = array_filter($problems, fn (string $problem) => preg_match(BEYOND_THE_SCHEMA, $problem) === 1);
        $counts[(int) $isValid]++;
        $shown = "seed $seed->value: ".json_encode($values['requirements'][$at]).' '.implode('; ', $problems);

        expect($isValid ? array_diff($problems, $known) === [] : $problems !== [])->toBeTrue($shown);
    }
    expect(min($counts))->toBeGreaterThan(100);
});

it('refuses what would take memory or time without end', function (string $source, string $why) {
    expect(fn () => BriefReader::read($source))->toThrow(BriefError::class, $why);
})->with([
    'anchors that explode' => [
        "a: &a [x, x, x, x, x, x, x, x, x, x]\n".implode('', array_map(
            fn (string $name, string $of) => "$name: &$name [*$of, *$of, *$of, *$of, *$of, *$of, *$of, *$of, *$of, *$of]\n",
            ['b', 'c', 'd', 'e', 'f', 'g', 'h', 'i'],
            ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'],
        ))."title: T\nrequirements: [{id: it, kind: skeleton, title: It, parts: *i}]\n",
        '200,000 values at most',
    ],
    'five megabytes' => [str_repeat("# nothing\n", 500_000), '500,000 bytes at most'],
    'a pattern that is none' => [
        'title: T'."\n".'requirements: [{id: it, kind: text, title: It, has: "/(a/"}]',
        'is no regular expression',
    ],
    'points that are no number' => [
        "title: T\nrequirements: [{id: it, kind: titles, title: It, points: .nan}]",
        'a number from 0 to 10000',
    ],
    'counts against each other' => [
        "title: T\nrequirements: [{id: it, kind: count, title: It, selector: p, exactly: 2, at_least: 3}]",
        'no number can be at least this',
    ],
]);

it('says that it cannot tell where a pattern goes back and forth without end, and takes no time', function () {
    $brief = BriefReader::read("title: T\nrequirements: [{id: it, kind: text, title: It, points: 4, has: '/(a+)+$/'}]");
    $site = ['index.html' => Samples::page('<p>'.str_repeat('a', 5_000).'!</p>')];
    $outcome = null;
    $seconds = ProcessorTime::of(function () use ($site, $brief, &$outcome): void {
        $outcome = Samples::check($site, $brief)->outcomes[0];
    });

    expect($outcome->kind)->toBe(OutcomeKind::NotJudged)
        ->and($outcome->measured)->toBe('a pattern goes back and forth too often to tell')
        ->and($seconds)->toBeLessThan(2.0);
});

it('reads a thousand requirements', function () {
    $lines = array_map(
        fn (int $nth) => "  - {id: r$nth, kind: count, title: R, selector: 'p.c$nth', at_most: 1, points: 1}",
        range(1, 1_000),
    );

    expect(BriefReader::read("title: T\nrequirements:\n".implode("\n", $lines))->points())->toBe(1_000.0);
});
